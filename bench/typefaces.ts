import { existsSync, readdirSync, readFileSync } from 'node:fs';
import { performance } from 'node:perf_hooks';
import { expectOk } from '../core/base/index.ts';
import { createJob, withTypefaces } from '../core/job/index.ts';
import { exportFiles } from '../core/output/index.ts';
import { compiled, exampleWords, runAll } from '../core/testing/example-job.ts';
import { keep, tool } from '../core/testing/exported.ts';
import { nodePlatform } from '../core/testing/node-platform.ts';
import { drawnOtherwise } from '../core/testing/second-renderer.ts';
import { usualThing } from '../core/things/index.ts';
import { ownFamilies, readTypeface, type OwnTypeface } from '../core/type/index.ts';
import { say } from '../messages/index.ts';
import type { Row } from './row.ts';

/** Debian's typefaces, where they are installed: fonts-lato, fonts-inter-variable. */
const FAMILY = '/usr/share/fonts/truetype/lato';
const VARIABLE = '/usr/share/fonts/truetype/inter-vf/Inter.var.ttf';
const SHIPPED = ['figtree-regular', 'figtree-semibold', 'figtree-italic'];
const SAID = 'Sea Holly & 0.5 kg';

/** Words in typefaces, one under the other on a sheet of their own, as a PDF. */
async function printed(
  ids: readonly string[],
  own: readonly OwnTypeface[] = [],
  files: ReadonlyMap<string, Uint8Array> = new Map(),
): Promise<Uint8Array> {
  const words = ids.map((typeface, at) => ({
    name: 'add-element' as const,
    args: {
      piece: 'piece-1',
      element: exampleWords({
        ...{ text: SAID, typeface, size: 20, x: 0, width: 150 },
        y: (at - (ids.length - 1) / 2) * 12,
      }),
    },
  }));
  const job = withTypefaces(
    runAll(
      createJob('face', { id: 'cuts', today: '2026-04-18' }),
      { name: 'measure-thing', args: { thing: usualThing('face', { width: 160, height: 250 }) } },
      ...words,
      { name: 'want', args: { piece: 'piece-1', count: 1 } },
    ),
    own,
  );
  const made = await compiled(job, files);
  const [file] = await exportFiles(made.compiled, {
    ...{ say, platform: nodePlatform, resources: made.resources, formats: ['pdf'] },
  });
  if (!file) throw new Error('no PDF');
  return file.bytes;
}

async function rows(what: string, paths: readonly string[], wanted: number): Promise<Row[]> {
  const start = performance.now();
  const read = [];
  for (const path of paths)
    read.push(expectOk(await readTypeface(new Uint8Array(readFileSync(path)), path)));
  const own = read.map(({ typeface }) => typeface);
  const ids = ownFamilies(own).flatMap((family) => family.cuts.map(({ id }) => id));
  const files = new Map(read.map(({ typeface, bytes }) => [typeface.id, bytes]));
  const pdf = await printed(ids, own, files);
  const took = performance.now() - start;
  const plain = await printed(ids.map((_, at) => SHIPPED[at % SHIPPED.length] ?? ''));
  const path = keep('cuts.pdf', pdf);
  const embedded = tool('pdffonts', path).match(/yes yes yes/g)?.length ?? 0;
  const searchable = tool('pdftotext', path, '-').split(SAID).length - 1;
  const unit = 'cuts';
  return [
    { what: `${what}: cuts kept`, measured: ids.length, unit, wanted: String(wanted) },
    { what: '… embedded as subsets', measured: embedded, unit, wanted: String(wanted) },
    {
      what: '… found as text by another reader',
      measured: searchable,
      unit,
      wanted: String(wanted),
    },
    {
      what: '… pixels that another renderer draws otherwise',
      measured: (await drawnOtherwise(pdf)) * 100,
      unit: '%',
      baseline: (await drawnOtherwise(plain)) * 100,
      wanted: 'as typefaces that ship (baseline)',
    },
    { what: '… read, set and printed', measured: took, unit: 'ms', wanted: '' },
  ];
}

/** Families with all their cuts, in print. */
export async function benchTypefaces(): Promise<Row[]> {
  const found: Row[] = [];
  if (existsSync(FAMILY))
    found.push(
      ...(await rows(
        'a family of 18 files',
        readdirSync(FAMILY).map((name) => `${FAMILY}/${name}`),
        18,
      )),
    );
  if (existsSync(VARIABLE)) found.push(...(await rows('a variable typeface', [VARIABLE], 18)));
  return found;
}
