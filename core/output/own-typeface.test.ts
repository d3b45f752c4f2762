import { execFileSync } from 'node:child_process';
import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { expectOk } from '../base/index.ts';
import { createJob, parsePeel, withTypefaces, writePeel, type Job } from '../job/index.ts';
import { renderPdf } from '../pdf/index.ts';
import { compiled, exampleWords, runAll } from '../testing/example-job.ts';
import { nodePlatform } from '../testing/node-platform.ts';
import { squareFont } from '../testing/square-font.ts';
import { readTypeface, type OwnTypeface } from '../type/index.ts';
import { say } from '../../messages/index.ts';
import { exportFiles } from './index.ts';

const { typeface, bytes } = expectOk(readTypeface(squareFont(), 'square.otf'));
const files = new Map([[typeface.id, bytes]]);

/** A face of 60 x 30 mm that says one letter of 72 pt in a typeface of one's own. */
const job = (known: readonly OwnTypeface[] = [typeface]): Job =>
  withTypefaces(
    runAll(
      createJob('lid', { id: 'own', today: '2026-04-18' }),
      {
        name: 'add-element',
        args: {
          piece: 'piece-1',
          element: exampleWords({
            ...{ text: 'A', typeface: typeface.id, size: 72, fit: 'fixed' },
            ...{ x: 0, y: 0, width: 40, height: 30, color: '#000000' },
          }),
        },
      },
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

test('a letter in PostScript outlines is printed as large as it is, and is read by an outsider', async () => {
  const pdf = await pdfOf(job());
  const path = join(mkdtempSync(join(tmpdir(), 'peel-')), 'own.pdf');
  writeFileSync(path, pdf);
  expect(execFileSync('pdftotext', [path, '-']).toString()).toContain('A');
  expect(execFileSync('pdffonts', [path]).toString()).toMatch(/CID Type 0C.*yes/s);
  const { data, width } = await renderPdf(nodePlatform, { pdf, page: 0, dpi: 254 });
  const dark: { x: number; y: number }[] = [];
  for (let at = 0; at < data.length; at += 4)
    if ((data[at] ?? 255) < 60) dark.push({ x: (at / 4) % width, y: Math.floor(at / 4 / width) });
  const span = (values: number[]): number => Math.max(...values) - Math.min(...values) + 1;
  // Half an em of 72 pt is 12.7 mm, which is 127 pixels at 254 dpi.
  expect(Math.abs(span(dark.map(({ x }) => x)) - 127)).toBeLessThanOrEqual(1);
  expect(Math.abs(span(dark.map(({ y }) => y)) - 127)).toBeLessThanOrEqual(1);
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
