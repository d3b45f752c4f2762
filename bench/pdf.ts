import { performance } from 'node:perf_hooks';
import { expectOk } from '../core/base/index.ts';
import { readArt } from '../core/art/index.ts';
import { compileJob, createJob, loadResources } from '../core/job/index.ts';
import { printPdf, writePdf } from '../core/output/index.ts';
import { createCompiler } from '../core/piece/index.ts';
import { nodePlatform } from '../core/testing/node-platform.ts';
import { examplePicture, exampleWords, runAll } from '../core/testing/example-job.ts';
import { drawnOtherwise } from '../core/testing/second-renderer.ts';
import { demoJobs } from '../demo/index.ts';
import { photoJpeg } from './photo.ts';
import { median, type Row } from './row.ts';
import { USUAL_MARKS } from '../core/stock/index.ts';
import { usualThing } from '../core/things/index.ts';

/** The first page of every demo job as another renderer draws it. */
async function otherRenderer(): Promise<Row[]> {
  let worst = { name: '', share: 0 };
  for (const { job, art } of await demoJobs(nodePlatform)) {
    const resources = await loadResources(nodePlatform, job, (id) => Promise.resolve(art.get(id)));
    const compiled = compileJob(job, createCompiler(resources));
    const share = await drawnOtherwise(await printPdf(nodePlatform, compiled, resources));
    if (share > worst.share) worst = { name: job.name, share };
  }
  return [
    {
      what: `another renderer at 150 dpi, worst job (${worst.name})`,
      measured: worst.share * 100,
      unit: '%',
      wanted: 'below 0.5 % of pixels',
    },
  ];
}

/** Compile and PDF of a sheet of 24 with a 12-megapixel picture, against embedding that picture once. */
export async function benchPdf(): Promise<Row[]> {
  const { art, bytes } = expectOk(
    await readArt(nodePlatform, await photoJpeg(4000, 3000), 'meadow.jpg'),
  );
  const piece = 'piece-1';
  const job = runAll(
    createJob('lid', { id: 'bench', today: '2026-04-18' }),
    {
      name: 'measure-thing',
      args: { thing: usualThing('lid', { size: 40, clearance: 0 }) },
    },
    {
      name: 'add-element',
      args: {
        piece,
        art,
        element: examplePicture(art.id, { width: 44, height: 44, fit: 'cover' }),
      },
    },
    { name: 'add-element', args: { piece, element: exampleWords({ color: '#ffffff', y: 4 }) } },
    { name: 'want', args: { piece, count: 24 } },
    {
      name: 'change-plan',
      args: { changes: { gap: 4, marks: { ...USUAL_MARKS, on: false } } },
    },
  );
  const resources = await loadResources(nodePlatform, job, (id) =>
    Promise.resolve(id === art.id ? bytes : undefined),
  );
  const whole = (): Promise<Uint8Array> =>
    printPdf(nodePlatform, compileJob(job, createCompiler(resources)), resources);
  const floor = (): Promise<Uint8Array> =>
    writePdf(
      nodePlatform,
      [
        {
          drawing: {
            width: 210,
            height: 297,
            symbols: {},
            nodes: [{ kind: 'image', art: art.id, map: [44, 0, 0, 44, 0, 0] }],
          },
        },
      ],
      { typeface: () => undefined, art: () => art, bytes: () => bytes },
      'floor',
    );
  const timed = async (make: () => Promise<Uint8Array>): Promise<number> => {
    const start = performance.now();
    await make();
    return performance.now() - start;
  };
  await whole();
  const [made, bare] = [await whole(), await floor()];
  // By turns, so that what else the machine does falls on both alike.
  const times = { whole: [] as number[], floor: [] as number[] };
  for (let round = 0; round < 11; round++) {
    times.whole.push(await timed(whole));
    times.floor.push(await timed(floor));
  }
  const copies =
    compileJob(job, createCompiler(resources)).layout.sheets[0]?.placements.length ?? 0;
  return [
    ...(await otherRenderer()),
    {
      what: `compile + PDF, ${copies} copies, ${(bytes.length / 1e6).toFixed(1)} MB picture`,
      measured: median(times.whole),
      unit: 'ms',
      baseline: median(times.floor),
      wanted: 'ratio at most 1.3',
    },
    {
      what: 'bytes above embedding that picture once',
      measured: (made.length - bare.length) / 1024,
      unit: 'kB',
      wanted: 'at most 60 kB',
    },
  ];
}
