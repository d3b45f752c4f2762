import { execFileSync } from 'node:child_process';
import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { expectOk } from '../base/index.ts';
import { createJob, parsePeel, withTypefaces, writePeel, type Job } from '../job/index.ts';
import { renderPdf } from '../pdf/index.ts';
import { compiled, exampleWords, runAll } from '../testing/example-job.ts';
import { nodePlatform } from '../testing/node-platform.ts';
import { squareCff2, squareFont } from '../testing/square-font.ts';
import { instanceId, readTypeface, type OwnTypeface } from '../type/index.ts';
import { say } from '../../messages/index.ts';
import { exportFiles } from './index.ts';

const { typeface, bytes } = expectOk(await readTypeface(squareFont(), 'square.otf'));
const bare = expectOk(await readTypeface(squareCff2(), 'bare.otf'));
const variable = expectOk(
  await readTypeface(
    new Uint8Array(
      readFileSync(
        'node_modules/@fontsource-variable/figtree/files/figtree-latin-wght-normal.woff2',
      ),
    ),
    'figtree.woff2',
  ),
);
const files = new Map([
  [typeface.id, bytes],
  [bare.typeface.id, bare.bytes],
  [variable.typeface.id, variable.bytes],
]);

/** A face of 60 x 30 mm that says one letter of 72 pt in typefaces of one's own. */
const jobIn = (
  typefaces: readonly string[],
  known: readonly OwnTypeface[] = [typeface, bare.typeface, variable.typeface],
): Job =>
  withTypefaces(
    runAll(
      createJob('lid', { id: 'own', today: '2026-04-18' }),
      ...typefaces.map((one, at) => ({
        name: 'add-element' as const,
        args: {
          piece: 'piece-1',
          element: exampleWords({
            ...{ id: '', text: 'A', typeface: one, size: 72, fit: 'fixed' },
            ...{ x: 30 * (at - (typefaces.length - 1) / 2), y: 0 },
            ...{ width: 28, height: 30, color: '#000000' },
          }),
        },
      })),
      { name: 'want', args: { piece: 'piece-1', count: 1 } },
      {
        name: 'change-plan',
        args: {
          changes: {
            marks: { ...createJob('lid', { id: 'x', today: '2026-04-18' }).plan.marks, on: false },
          },
        },
      },
    ),
    known,
  );

const job = (known?: readonly OwnTypeface[]): Job => jobIn([typeface.id], known);

async function pdfOf(one: Job): Promise<Uint8Array> {
  const made = await compiled(one, files);
  const [file] = await exportFiles(made.compiled, {
    say,
    platform: nodePlatform,
    resources: made.resources,
    formats: ['pdf'],
  });
  if (!file) throw new Error('no file');
  return file.bytes;
}

/** What an outsider reads of a file. */
function readBy(tool: 'pdftotext' | 'pdffonts', pdf: Uint8Array): string {
  const path = join(mkdtempSync(join(tmpdir(), 'peel-')), 'own.pdf');
  writeFileSync(path, pdf);
  return execFileSync(tool, [path, ...(tool === 'pdftotext' ? ['-'] : [])]).toString();
}

/** The dark pixels of the first page at 254 dpi, tenths of a millimetre. */
async function darkOf(pdf: Uint8Array): Promise<{ x: number; y: number }[]> {
  const { data, width } = await renderPdf(nodePlatform, { pdf, page: 0, dpi: 254 });
  const dark: { x: number; y: number }[] = [];
  for (let at = 0; at < data.length; at += 4)
    if ((data[at] ?? 255) < 60) dark.push({ x: (at / 4) % width, y: Math.floor(at / 4 / width) });
  return dark;
}

const span = (values: number[]): number => Math.max(...values) - Math.min(...values) + 1;

// Half an em of 72 pt is 12.7 mm.
test('a letter in PostScript outlines is printed as large as it is, and is read by an outsider', async () => {
  const pdf = await pdfOf(job());
  expect(readBy('pdftotext', pdf)).toContain('A');
  expect(readBy('pdffonts', pdf)).toMatch(/CID Type 0C.*yes/s);
  const dark = await darkOf(pdf);
  expect(Math.abs(span(dark.map(({ x }) => x)) - 127)).toBeLessThanOrEqual(1);
  expect(Math.abs(span(dark.map(({ y }) => y)) - 127)).toBeLessThanOrEqual(1);
});

test('a letter in outlines that no file to print can hold is printed as large, as a shape', async () => {
  const pdf = await pdfOf(jobIn([bare.typeface.id]));
  expect(readBy('pdffonts', pdf).trim().split('\n')).toHaveLength(2); // its head alone
  const dark = await darkOf(pdf);
  expect(Math.abs(span(dark.map(({ x }) => x)) - 127)).toBeLessThanOrEqual(1);
  expect(Math.abs(span(dark.map(({ y }) => y)) - 127)).toBeLessThanOrEqual(1);
});

test('each weight of a variable typeface is embedded as a subset of its own, searchable and as heavy', async () => {
  const { id, axes = [] } = variable.typeface;
  const ids = [350, 900].map((weight) => instanceId(id, axes, { wght: weight }));
  const both = jobIn(ids);
  expect(both.typefaces).toEqual({ [id]: variable.typeface });
  const pdf = await pdfOf(both);
  expect(readBy('pdffonts', pdf).match(/TrueType.*yes yes yes/g)).toHaveLength(2);
  expect(readBy('pdftotext', pdf)).toMatch(/A\s+A/);
  const dark = await darkOf(pdf);
  const middle = dark.reduce((sum, { x }) => sum + x, 0) / dark.length;
  const light = dark.filter(({ x }) => x < middle - 60).length;
  expect(dark.length - light).toBeGreaterThan(light * 1.5);
  const read = expectOk(parsePeel(writePeel({ job: both, art: files }), 'own.peel'));
  expect(read.job).toEqual(both);
});

test('the file of a job brings its own typefaces along', () => {
  const read = expectOk(parsePeel(writePeel({ job: job(), art: files }), 'own.peel'));
  expect(read.job.typefaces).toEqual({ [typeface.id]: typeface });
  expect(read.art.get(typeface.id)).toEqual(bytes);
});

test('a job knows the own typefaces that it names, and forgets others', () => {
  const other = { ...typeface, id: 'a'.repeat(64) };
  expect(job([other, typeface]).typefaces).toEqual({ [typeface.id]: typeface });
  const without = runAll(job(), {
    name: 'change-elements',
    args: { piece: 'piece-1', changes: { 'words-1': { typeface: 'figtree-regular' } } },
  });
  expect(withTypefaces(without, [typeface]).typefaces).toBeUndefined();
  const same = job();
  expect(withTypefaces(same, [{ ...typeface }])).toBe(same);
  expect(withTypefaces(same, [])).toBe(same);
});

test('what the workshop notes of a typeface later goes for jobs that have it already', () => {
  const noted = withTypefaces(job(), [{ ...typeface, licence: 'credit' }]);
  expect(noted.typefaces?.[typeface.id]?.licence).toBe('credit');
});
