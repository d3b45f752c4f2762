import { expectOk } from '../base/index.ts';
import type { Piece } from '../piece/index.ts';
import { exampleJob, exampleWords, runAll } from '../testing/example-job.ts';
import { usualThing } from '../things/index.ts';
import {
  callForDesign,
  createJob,
  designFrom,
  isDesign,
  parsePeel,
  writePeel,
  type Job,
  type OwnDesign,
} from './index.ts';

const { job: seal, art } = await exampleJob();
const pieceOf = (job: Job): Piece => job.pieces[0] as Piece;
/** The seal with its picture and its plant open, the ring and the maker around it not. */
const design: OwnDesign = designFrom(seal, pieceOf(seal), {
  ...{ id: 'design-1', name: ' Seal of the fen ' },
  open: ['picture-1', 'words-1'],
});
/** A round label twice as wide. */
const larger = (): Job =>
  runAll(createJob('lid', { id: 'other', today: '2026-05-01' }), {
    name: 'measure-thing',
    args: { thing: usualThing('lid', { size: 116, clearance: 0 }) },
  });
const started = (words: Partial<Parameters<typeof callForDesign>[2]> = {}): Job => {
  const job = larger();
  const own = { says: {}, ...words };
  return runAll(job, callForDesign(design, pieceOf(job), own));
};
const element = (job: Job, wanted: string) => {
  const found = pieceOf(job).elements.find(({ id }) => id === wanted);
  if (!found) throw new Error(`no ${wanted}`);
  return found;
};

test('a design holds its piece alone, with its art, and comes back from its file as a design', () => {
  expect(design.name).toBe('Seal of the fen');
  const read = expectOk(parsePeel(writePeel({ job: design, art }), 'seal.peel'));
  expect(isDesign(read.job)).toBe(true);
  expect(read.job).toEqual(design);
  expect([...read.art.keys()]).toEqual([...art.keys()]);
  expect(isDesign(seal)).toBe(false);
});

test('on a label twice as wide everything is twice as large', () => {
  const made = started();
  expect(pieceOf(made).ground).toBe(pieceOf(seal).ground);
  expect(pieceOf(made).elements).toHaveLength(pieceOf(seal).elements.length);
  const [before, after] = [element(seal, 'picture-1'), element(made, 'picture-1')];
  if (before.kind !== 'picture' || after.kind !== 'picture') throw new Error('no picture');
  expect(after.width).toBeCloseTo(before.width * 2, 6);
  expect(after.y).toBeCloseTo(before.y * 2, 6);
});

test('what is open takes the words and the picture of the label; what is not is locked', () => {
  const other = 'b'.repeat(64);
  const job = started({ says: { name: 'Yarrow', line: 'never seen' }, art: other });
  expect(element(job, 'words-1')).toMatchObject({ text: 'Yarrow', locked: false });
  expect(element(job, 'words-2')).toMatchObject({ text: 'THISTLE & FEN', locked: true });
  expect(element(job, 'picture-1')).toMatchObject({ art: other, locked: false });
  expect(element(job, 'plate-1').locked).toBe(true);
});

test('without words of its own a label starts with those of the design', () => {
  const job = started();
  expect(element(job, 'words-1')).toMatchObject({ text: 'Sea Holly' });
  expect(element(job, 'picture-1')).toMatchObject({ art: [...art.keys()][0] });
});

test('the largest open words are the name, the next the line, then the maker', () => {
  const job = runAll(larger(), {
    name: 'add-elements',
    args: {
      piece: 'piece-1',
      elements: [8, 20, 12].map((size) => exampleWords({ size, text: `${size} pt` })),
    },
  });
  const all = designFrom(job, pieceOf(job), {
    ...{ id: 'd', name: 'd' },
    open: pieceOf(job).elements.map(({ id }) => id),
  });
  const call = callForDesign(all, pieceOf(job), { says: { name: 'N', line: 'L', maker: 'M' } });
  expect(
    pieceOf(runAll(job, call)).elements.map((one) => (one.kind === 'words' ? one.text : '')),
  ).toEqual(['M', 'N', 'L']);
});
