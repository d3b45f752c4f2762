import { expectOk } from '../base/index.ts';
import { parseList } from '../piece/index.ts';
import { arrange, type Placement } from '../sheet/index.ts';
import { exampleWords, runAll } from '../testing/example-job.ts';
import { changedSince, createJob, printKeys, type CommandCall, type Job } from './index.ts';

const NAMES = 'name\tnote\nYarrow\ta\nSea Holly\tb\nAster\tc';
const words = (text: string): CommandCall => ({
  name: 'add-element',
  args: { piece: 'piece-1', element: exampleWords({ text }) },
});
const lid = createJob('lid', { id: 'beds', today: '2026-04-18' });
const listed = (): Job =>
  runAll(
    lid,
    { name: 'set-list', args: { list: expectOk(parseList(NAMES)) } },
    { name: 'want-rows', args: { piece: 'piece-1', each: 1 } },
    words('{name}'),
  );
const field = (row: string, column: string, value: string): CommandCall => ({
  name: 'change-fields',
  args: { fields: { [row]: { [column]: value } } },
});
const laid = (job: Job): string[] =>
  arrange(job).sheets.flatMap(({ placements }) => placements.map(({ copy }: Placement) => copy));

test('the copies that are named are laid out alone, from the first place on, and all again after that', () => {
  const some = runAll(lid, {
    name: 'print-only',
    args: { copies: ['piece-1#3', 'piece-1#11', 'piece-1#99'] },
  });
  expect(laid(some)).toEqual(['piece-1#3', 'piece-1#11']);
  const [first] = arrange(lid).sheets[0]?.placements ?? [];
  expect(arrange(some).sheets[0]?.placements[0]).toMatchObject({ x: first?.x, y: first?.y });
  expect(laid(runAll(some, { name: 'print-only', args: { copies: undefined } }))).toHaveLength(12);
  expect(() => runAll(lid, { name: 'print-only', args: { copies: ['gone#1'] } })).toThrow(
    /print-none/,
  );
});

test('a pinned copy that is not printed keeps no place free', () => {
  const pinned = runAll(
    lid,
    {
      name: 'move-copies',
      args: { places: { 'piece-1#1': { sheet: 0, x: 100, y: 100, angle: 0 } } },
    },
    { name: 'pin-copies', args: { copies: ['piece-1#1'], pinned: true } },
    { name: 'print-only', args: { copies: ['piece-1#2'] } },
  );
  expect(laid(pinned)).toEqual(['piece-1#2']);
});

test('nothing is changed since it was printed, whatever it is called and where it lies', () => {
  const job = listed();
  const printed = printKeys(job);
  expect(Object.keys(printed)).toEqual(['piece-1#r1', 'piece-1#r2', 'piece-1#r3']);
  const same = runAll(
    job,
    { name: 'change-piece', args: { piece: 'piece-1', changes: { name: 'Stake' } } },
    { name: 'change-plan', args: { changes: { gap: 7 } } },
    field('r2', 'note', 'not printed'),
    { name: 'sort-list', args: { column: 'name' } },
  );
  expect(changedSince(same, printed)).toEqual([]);
});

test('changed are the copies whose words, own artwork or piece are others, and new ones', () => {
  const job = listed();
  const printed = printKeys(job);
  const renamed = runAll(job, field('r2', 'name', 'Eryngium'));
  expect(changedSince(renamed, printed)).toEqual(['piece-1#r2']);
  const more = runAll(job, { name: 'add-rows', args: { rows: [['Teasel']] } });
  expect(changedSince(more, printed)).toHaveLength(1);
  const wider = runAll(job, {
    name: 'change-piece',
    args: { piece: 'piece-1', changes: { ground: '#ffeedd' } },
  });
  expect(changedSince(wider, printed)).toHaveLength(3);
  const alone: Job = { ...job, oneOffs: { 'piece-1#r3': { out: true } } };
  expect(changedSince(alone, printed)).toEqual(['piece-1#r3']);
});

test('the other side of a label counts too', () => {
  const job = runAll(listed(), { name: 'add-back', args: { piece: 'piece-1' } });
  const printed = printKeys(job);
  expect(Object.keys(printed)).toHaveLength(3);
  const back = job.pieces.find(({ behind }) => behind)?.id ?? '';
  const behind = runAll(job, {
    name: 'add-element',
    args: { piece: back, element: exampleWords({ text: 'Care: {note}' }) },
  });
  expect(changedSince(behind, printed)).toHaveLength(3);
  expect(changedSince(runAll(behind, field('r1', 'note', 'z')), printKeys(behind))).toEqual([
    'piece-1#r1',
  ]);
});
