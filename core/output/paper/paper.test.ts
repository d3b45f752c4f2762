import { readArt } from '../../art/index.ts';
import { expectOk } from '../../base/index.ts';
import { parsePeel, type CommandCall } from '../../job/index.ts';
import { countPdfPages, renderPdf } from '../../pdf/index.ts';
import { parseList } from '../../piece/index.ts';
import { compiled, exampleJob, exampleWords, runAll } from '../../testing/example-job.ts';
import { keep, tool } from '../../testing/exported.ts';
import { nodePlatform } from '../../testing/node-platform.ts';
import { exportFiles, type ExportChoices, type Format, type MadeFile } from '../index.ts';
import { say } from '../../../messages/index.ts';

const ROWS = Array.from({ length: 90 }, (_, at) => `Plant ${at + 1}`);
const asList: CommandCall[] = [
  { name: 'set-list', args: { list: expectOk(parseList(['name', ...ROWS].join('\n'))) } },
  { name: 'want-rows', args: { piece: 'piece-1', each: 1 } },
  {
    name: 'add-element',
    args: { piece: 'piece-1', element: exampleWords({ text: 'For {name}', y: 18, size: 9 }) },
  },
];

async function made(
  formats: readonly Format[],
  { calls = [], choices = {} }: { calls?: CommandCall[]; choices?: Partial<ExportChoices> } = {},
): Promise<{ job: ReturnType<typeof runAll>; files: MadeFile[] }> {
  const { job: bare, art } = await exampleJob();
  const job = runAll(bare, ...calls);
  const { compiled: done, resources } = await compiled(job, art);
  const artBytes = (id: string) => Promise.resolve(art.get(id));
  const files = await exportFiles(done, {
    say,
    platform: nodePlatform,
    resources,
    formats,
    choices,
    artBytes,
  });
  return { job, files };
}
const words = ({ bytes, name }: MadeFile): string =>
  tool('pdftotext', '-raw', keep(name, bytes), '-').replace(/\f/g, '\n');

test('a paper to approve has sizes, numbers, colours, every word and every row, and a place to sign', async () => {
  const { files } = await made(['approval'], { calls: asList });
  const [file] = files;
  if (!file) throw new Error('no file');
  const text = words(file);
  for (const said of [
    'For approval: Pot-lid seals',
    '58 mm × 58 mm, 90 copies, matt paper',
    '#f4e9d4',
    'Sea Holly',
    'For Plant 1',
    'What the list says, 90 rows',
    'Approved as shown',
    'Signature',
  ])
    expect(text).toContain(said);
  for (const [at, row] of ROWS.entries())
    expect(text).toMatch(new RegExp(`^${at + 1}\\. +${row}$`, 'm'));
  expect(await countPdfPages(nodePlatform, file.bytes)).toBe(file.pages);
  expect(file.pages).toBeGreaterThan(1);
  expect(tool('qpdf', '--check', keep(file.name, file.bytes))).toContain('No syntax or stream');
});

test('the piece stands on it at its true size, where it has room', async () => {
  const { files } = await made(['approval']);
  const image = await renderPdf(nodePlatform, {
    pdf: files[0]?.bytes ?? new Uint8Array(),
    page: 0,
    dpi: 254,
  });
  // The ground of the seal, left of the words beside it.
  let [left, right, top, bottom] = [Infinity, -Infinity, Infinity, -Infinity];
  for (let y = 0; y < image.height; y++)
    for (let x = 0; x < 960; x++) {
      const at = (y * image.width + x) * 4;
      if (image.data[at] !== 0xf4 || image.data[at + 1] !== 0xe9) continue;
      [left, right] = [Math.min(left, x), Math.max(right, x)];
      [top, bottom] = [Math.min(top, y), Math.max(bottom, y)];
    }
  for (const side of [right - left, bottom - top])
    expect(Math.abs(side / 10 - 58)).toBeLessThan(0.4);
  expect(await made(['approval'])).toEqual(await made(['approval']));
});

test('as pictures too, a PNG a page', async () => {
  const { files } = await made(['approval'], { choices: { approvalPictures: true } });
  expect(files.map(({ name }) => name)).toEqual([
    'pot-lid-seals-approval.pdf',
    'pot-lid-seals-approval-1.png',
  ]);
});

test('a contact sheet shows each label that is another once, with what it says', async () => {
  const plain = (await made(['contact'])).files[0];
  expect(plain && words(plain).match(/THISTLE & FEN/g)).toHaveLength(1);
  const listed = (await made(['contact'], { calls: asList })).files[0];
  if (!listed) throw new Error('no file');
  const text = words(listed);
  for (const row of ROWS) expect(text).toMatch(new RegExp(`^${row}$`, 'm'));
  expect(text.match(/For Plant/g)).toHaveLength(90);
});

test('the job itself comes out whole, and its artwork as a picture of its size that can be taken in', async () => {
  const { files, job } = await made(['peel', 'artwork']);
  const peel = files.find(({ format }) => format === 'peel');
  const read = expectOk(parsePeel(peel?.bytes ?? new Uint8Array(), 'seals.peel'));
  expect(read.job).toEqual(job);
  expect([...read.art.keys()]).toEqual(Object.keys(job.art));
  const artwork = files.find(({ format }) => format === 'artwork');
  const text = new TextDecoder().decode(artwork?.bytes);
  // 58 mm and 2 mm of bleed on both sides.
  expect(text).toMatch(/^<svg [^>]*width="62mm" height="62mm" viewBox="0 0 62 62"/);
  expect(text).toContain('data:image/png;base64,');
  const withoutPicture = new TextEncoder().encode(text.replace(/<image[^>]*>(<\/image>)?/g, ''));
  const taken = await readArt(nodePlatform, withoutPicture, 'seal.svg');
  expect(taken.ok && taken.value.art.kind).toBe('vector');
});
