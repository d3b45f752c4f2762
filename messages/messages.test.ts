import { problem, type Doing, type Problem } from '../core/base/index.ts';
import { createJob } from '../core/job/index.ts';
import {
  commandText,
  doingText,
  findingText,
  fixText,
  leftOutTexts,
  onOneCopyText,
  placeText,
  problemLine,
  problemText,
} from './index.ts';

const lid = createJob('lid', { id: 'j', today: '2026-04-18' });

test.each<[Problem, string]>([
  [problem('art/zip-entries', { name: 'a.zip', most: 200 }), '“a.zip” holds more than 200 files.'],
  [
    problem('art/too-large', { name: 'a.png', width: 20_000, height: 9, most: 6e7 }),
    '“a.png” is 20,000 x 9 pixels; at most 60 million can be taken in.',
  ],
  [
    problem('art/too-large', { name: 'a.pdf', dpi: 600 }),
    'A page of “a.pdf” has too many pixels at 600 dpi.',
  ],
  [problem('length/unread', { read: '1/0', because: 'zero' }), '“1/0” divides by zero.'],
  [problem('list/too-large', { megabytes: 31 }), 'This file has 31 MB.'],
  [
    problem('list/too-large', { columns: 1, rows: 5001, mostColumns: 50, mostRows: 5000 }),
    'This table has 1 column and 5001 rows.',
  ],
  [
    problem('size/too-large', { width: 2100, height: 20, longest: 2000 }),
    'The label would be 2100 mm x 20 mm.',
  ],
  [
    problem('cutter/lost', { from: 13, of: 40 }),
    'The connection to the cutter was lost; of 40 cuts number 13 may be the first that is not made.',
  ],
  [problem('printer/stopped', {}), 'The printer gave the job up.'],
  [
    problem('printer/stopped', { reason: { code: 'other', values: { says: 'fuser-hot' } } }),
    'It says “fuser-hot”.',
  ],
  [
    problem('run/blocked', { finding: { code: 'nothing-wanted', values: {} } }),
    'No copies are wanted.',
  ],
  [
    problem('run/align', { off: 2.34, marks: [{ x: 5, y: 5 }] }),
    'The places do not fit the marks of this sheet: they are 2.3 mm off.',
  ],
  [
    problem('job/newer', { source: { kind: 'job', name: 'Seals' }, version: 99, reads: 12 }),
    'The job “Seals” was made by a newer Little Peel (version 99; this one reads 12).',
  ],
  [problem('job/unread', { source: { kind: 'job' }, because: 'no-job' }), 'The job holds no job.'],
  [
    problem('job/invalid', {
      place: [
        { of: 'piece', number: 2 },
        { of: 'element', number: 1, kind: 'words' },
      ],
      issue: { rule: 'too-large', value: 5000, limit: 400 },
    }),
    'This cannot be done: piece 2, words: 5000 is too large, the most is 400.',
  ],
  [
    problem('job/invalid-value', { field: 'name', issue: { rule: 'too-long', limit: 120 } }),
    '“name” is not accepted: it has more than 120 letters.',
  ],
])('%j is said in one sentence, with a remedy in another', (found, what) => {
  expect(problemText(found).what).toBe(what);
  expect(problemText(found).remedy).toMatch(/^[A-Z].*\.$/);
  expect(problemLine(found)).toBe(`${what} ${problemText(found).remedy}`);
});

test('a sheet that is not cut says why, and nothing is left to do about the program', () => {
  const found = problem('run/not-cut', { code: 'marks-missing', values: { found: 1, of: 4 } });
  expect(problemLine(found)).toBe('Only 1 of 4 marks were found, so nothing was cut.');
});

test('one, several and many are told apart', () => {
  const copies = (count: number, sheet?: number): string =>
    findingText({
      code: 'in-keep-clear',
      values: { copies: count, piece: 'Seal', ...(sheet ? { sheet } : {}) },
    }).what;
  expect(copies(1)).toBe('A copy of “Seal” stands in a keep-clear zone around a mark.');
  expect(copies(3, 2)).toBe('3 copies on sheet 2 stand in a keep-clear zone around a mark.');
  const missing = (names: string[], count: number): string =>
    findingText({ code: 'value-missing', values: { names, count, column: 'price' } }).what;
  expect(missing(['Rue'], 1)).toBe('“Rue” has no price.');
  expect(missing(['Rue', 'Ivy', 'Fern'], 5)).toBe(
    '5 rows have no price: “Rue”, “Ivy”, “Fern” and 2 more.',
  );
  expect(fixText({ code: 'put-back', values: { count: 1 } })).toBe('Put it back');
  expect(fixText({ code: 'put-back', values: { count: 2 } })).toBe('Put them back');
});

test('rows without a name and copies are told by their numbers', () => {
  const values = {
    names: [{ row: 3 }, { copy: '7' }],
    count: 2,
    problem: { code: 'code/characters', values: {} },
  } as const;
  expect(findingText({ code: 'code-unread', values }).what).toMatch(
    /^2 codes, of “row 3”, no. 7: /,
  );
});

test('what a heavy call is at, and what keeps a printer', () => {
  const waits: Doing = {
    code: 'waiting-for-printer',
    values: { reason: { code: 'media-jam', values: {} } },
  };
  expect(doingText(waits)).toBe('The printer waits: Paper is jammed.');
  expect(doingText({ code: 'cutting-sheet', values: { sheet: 2, of: 3 } })).toBe(
    'Cutting sheet 2 of 3',
  );
  const low = problem('printer/waits', { reason: { code: 'ink-low', values: {} } });
  expect(problemText(low).what).toBe('Ink or toner runs low.');
});

test('parts of a job are named as their people name them, each once', () => {
  const words = (number: number) =>
    [
      { of: 'piece', number: 1, name: 'Seal' },
      { of: 'element', number, kind: 'words', title: 'Mint' },
      { of: 'field', name: 'size' },
    ] as const;
  expect(placeText(words(1))).toBe('“Seal”, words “Mint”, size');
  expect(leftOutTexts([words(1), [{ of: 'part', name: 'today' }], words(2)])).toEqual([
    '“Seal”, words “Mint”, size (2)',
    'the date of the job',
  ]);
});

test('a change reads well behind “Undo”, with what it was done to', () => {
  const label = commandText({ name: 'set-bleed', args: { pieces: [], bleed: 1.5 } }, lid);
  expect(label).toBe('bleed of 1.5 mm');
  expect(onOneCopyText(label)).toBe('bleed of 1.5 mm on one copy');
  const plan = { name: 'change-plan', args: { changes: { gap: 2, copiesPerRow: {} } } } as const;
  expect(commandText(plan, lid)).toBe('change gap and copies of each row');
});
