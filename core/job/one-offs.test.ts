import { expectOk, isProblem } from '../base/index.ts';
import { parseList, type Piece } from '../piece/index.ts';
import { compiled, exampleWords, runAll } from '../testing/example-job.ts';
import {
  copyOf,
  createJob,
  runCommand,
  editOneCopy,
  asSeenByCopy,
  type CommandCall,
  type Job,
} from './index.ts';

const SECOND = 'piece-1#2';
const lid = (): Job =>
  runAll(
    createJob('lid', { id: 'one-offs', today: '2026-04-18' }),
    { name: 'add-element', args: { piece: 'piece-1', element: exampleWords() } },
    { name: 'want', args: { piece: 'piece-1', count: 3 } },
  );
const alone = (job: Job, copy: string, ...calls: CommandCall[]): Job =>
  calls.reduce((now, call) => {
    const done = editOneCopy(now, copy, call);
    if (isProblem(done)) throw new Error(done.code);
    return done;
  }, job);
const say = (text: string): CommandCall => ({
  name: 'change-elements',
  args: { piece: 'piece-1', changes: { 'words-1': { text } } },
});
const textOf = (piece: Piece | undefined): unknown =>
  piece?.elements.flatMap((one) => (one.kind === 'words' ? one.text : []));
const said = async (job: Job): Promise<(string | undefined)[]> =>
  (await compiled(job, new Map())).compiled.sheets.flatMap(({ copies }) =>
    copies.map(({ piece }) =>
      piece.elements[0]?.compiled.words?.glyphs.map(({ text }) => text).join(''),
    ),
  );

test('one copy says something else while its piece and the others stay', async () => {
  const job = alone(lid(), SECOND, say('Yarrow'));
  expect(textOf(job.pieces[0])).toEqual(['Sea Holly']);
  expect(job.oneOffs).toEqual({
    [SECOND]: { elements: { 'words-1': { changes: { text: 'Yarrow' } } } },
  });
  expect(await said(job)).toEqual(['Sea Holly', 'Yarrow', 'Sea Holly']);
});

test('what is not its own follows the piece', () => {
  const job = runAll(alone(lid(), SECOND, say('Yarrow')), {
    name: 'change-elements',
    args: { piece: 'piece-1', changes: { 'words-1': { text: 'Fern', size: 9 } } },
  });
  const [words] = copyOf(job, SECOND)?.piece.elements ?? [];
  expect(words).toMatchObject({ text: 'Yarrow', size: 9 });
  // Said as the piece says it, nothing of it is its own.
  expect(alone(job, SECOND, say('Fern')).oneOffs).toBeUndefined();
});

test('a colour, a ground, an element more and one less can be its own', () => {
  const job = alone(
    lid(),
    SECOND,
    { name: 'recolor', args: { piece: 'piece-1', colors: { '#2a1b2e': '#c77f3a' } } },
    { name: 'change-piece', args: { piece: 'piece-1', changes: { ground: '#f7f3ec' } } },
    { name: 'add-element', args: { piece: 'piece-1', element: exampleWords({ text: 'new' }) } },
  );
  const piece = copyOf(job, SECOND)?.piece;
  expect(textOf(piece)).toEqual(['Sea Holly', 'new']);
  expect(piece?.ground).toBe('#f7f3ec');
  expect(piece?.elements[0]).toMatchObject({ color: '#c77f3a' });
  const less = alone(job, SECOND, {
    name: 'delete-elements',
    args: { piece: 'piece-1', elements: ['words-1'] },
  });
  expect(textOf(copyOf(less, SECOND)?.piece)).toEqual(['new']);
  expect(textOf(less.pieces[0])).toEqual(['Sea Holly']);
  // An element that the piece gets later under the same name keeps apart from the copy's own.
  const later = runAll(less, {
    name: 'add-element',
    args: { piece: 'piece-1', element: exampleWords({ text: 'for all' }) },
  });
  expect(textOf(copyOf(later, SECOND)?.piece)).toEqual(['for all', 'new']);
});

test('a field that a copy has not is kept as left out', () => {
  const shaded = runAll(lid(), {
    name: 'change-elements',
    args: { piece: 'piece-1', changes: { 'words-1': { opacity: 0.4 } } },
  });
  const job = alone(shaded, SECOND, {
    name: 'change-elements',
    args: { piece: 'piece-1', changes: { 'words-1': { opacity: undefined } } },
  });
  expect(copyOf(job, SECOND)?.piece.elements[0]?.opacity).toBeUndefined();
  expect(copyOf(job, 'piece-1#1')?.piece.elements[0]?.opacity).toBe(0.4);
  expect(JSON.parse(JSON.stringify(job.oneOffs))).toEqual(job.oneOffs);
});

test('what belongs to all copies is refused for one', () => {
  const call: CommandCall = {
    name: 'change-piece',
    args: { piece: 'piece-1', changes: { bleed: 3 } },
  };
  const done = editOneCopy(lid(), SECOND, call);
  expect(isProblem(done) && done.code).toBe('job/all-copies');
  expect(isProblem(editOneCopy(lid(), 'piece-1#9', say('x')))).toBe(true);
});

test('it can go to all copies, and back to the piece', () => {
  const job = alone(lid(), SECOND, say('Yarrow'), {
    name: 'add-element',
    args: { piece: 'piece-1', element: exampleWords({ text: 'new' }) },
  });
  const all = runAll(job, { name: 'use-on-all', args: { copy: SECOND } });
  expect(textOf(all.pieces[0])).toEqual(['Yarrow', 'new']);
  expect(all.oneOffs).toBeUndefined();
  const back = runAll(job, { name: 'return-one-offs', args: { copies: [SECOND] } });
  expect(back.oneOffs).toBeUndefined();
  expect(textOf(copyOf(back, SECOND)?.piece)).toEqual(['Sea Holly']);
});

test('a copy that is left out keeps its place empty: no print and no cut', async () => {
  const job = runAll(lid(), { name: 'leave-out', args: { copies: [SECOND], out: true } });
  const [sheet] = (await compiled(job, new Map())).compiled.sheets;
  expect(sheet?.copies.map(({ placement }) => placement.copy)).toEqual(['piece-1#1', 'piece-1#3']);
  expect(sheet?.empty.map(({ placement }) => placement.copy)).toEqual([SECOND]);
  expect(sheet?.cuts.flatMap(({ copies }) => copies)).toEqual(['piece-1#1', 'piece-1#3']);
  const again = runAll(job, { name: 'leave-out', args: { copies: [SECOND], out: false } });
  expect(again.oneOffs).toBeUndefined();
});

test('one-offs hang on the row, wherever it is sorted to', async () => {
  const list = expectOk(parseList('name\nYarrow\nFern\nAster'));
  const job = alone(
    runAll(
      lid(),
      { name: 'set-list', args: { list } },
      { name: 'want-rows', args: { piece: 'piece-1', each: 1 } },
      say('{name}'),
    ),
    'piece-1#r1',
    say('{name} of the year'),
  );
  expect(await said(job)).toEqual(['Yarrow of the year', 'Fern', 'Aster']);
  const sorted = runAll(job, { name: 'sort-list', args: { column: 'name' } });
  expect(await said(sorted)).toEqual(['Aster', 'Fern', 'Yarrow of the year']);
});

test('rows give colours by number or name, and pictures by the name of their file', async () => {
  const list = expectOk(parseList('name\tink\nYarrow\tgoldenrod\nFern\t#0a0\nAster\tnot a colour'));
  const job = runAll(
    lid(),
    { name: 'set-list', args: { list } },
    { name: 'want-rows', args: { piece: 'piece-1', each: 1 } },
    { name: 'bind-color', args: { color: '#2a1b2e', column: 'ink' } },
  );
  const inks = ['r1', 'r2', 'r3'].map((row) => {
    const [words] = copyOf(job, `piece-1#${row}`)?.piece.elements ?? [];
    return words?.kind === 'words' && words.color;
  });
  expect(inks).toEqual(['#daa520', '#00aa00', '#2a1b2e']);
  const symbols = (await compiled(job, new Map())).compiled.sheets[0]?.drawing.symbols ?? {};
  expect(Object.keys(symbols)).toHaveLength(3);
});

test('a job as a copy sees it has its piece, and nothing else of it is another', () => {
  const job = alone(lid(), SECOND, say('Yarrow'));
  expect(textOf(asSeenByCopy(job, SECOND).pieces[0])).toEqual(['Yarrow']);
  expect(asSeenByCopy(job, 'piece-1#1')).toBe(job);
  const renamed = alone(job, SECOND, { name: 'rename-job', args: { name: 'Lids' } });
  expect(renamed).toEqual({ ...job, name: 'Lids' });
  expect(isProblem(runCommand(job, { name: 'use-on-all', args: { copy: 'piece-1#1' } }))).toBe(
    true,
  );
});
