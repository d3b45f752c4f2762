import { expectOk, isProblem } from '../base/index.ts';
import { fieldsOfRow, findQuantity, parseList, type List } from '../piece/index.ts';
import { findCopy, copyIds, copyCount } from '../sheet/index.ts';
import { exampleWords, runAll } from '../testing/example-job.ts';
import { problemText } from '../../messages/index.ts';
import { createJob, runCommand, type CommandCall, type Job } from './index.ts';

const BEDS =
  'name\tbed\tcopies\nYarrow\tBed 10\t2\nSea Holly\tBed 9\t\nfennel\t\t0\nAster\tBed 9\t1';
const lid = createJob('lid', { id: 'beds', today: '2026-04-18' });
const listed = (): Job =>
  runAll(
    lid,
    { name: 'set-list', args: { list: expectOk(parseList(BEDS)) } },
    { name: 'want-rows', args: { piece: 'piece-1', each: 1 } },
  );
const listOf = ({ list }: Job): List => {
  if (!list) throw new Error('no list');
  return list;
};
const column = (job: Job, name: string): (string | undefined)[] =>
  listOf(job).rows.map((row) => fieldsOfRow(listOf(job), row)[name]);
const names = (job: Job): string[] => copyIds(job, 'piece-1');

test('each row gives one copy, or as many as its quantity says, named by the row', () => {
  const job = listed();
  expect(listOf(job).quantity).toBe('copies');
  expect(names(job)).toEqual(['piece-1#r1', 'piece-1#r1.2', 'piece-1#r2', 'piece-1#r4']);
  expect(copyCount(job, 'piece-1')).toBe(4);
  const twice = runAll(job, { name: 'want-rows', args: { piece: 'piece-1', each: 2 } });
  expect(copyCount(twice, 'piece-1')).toBe(8);
  const plain = runAll(job, { name: 'bind-quantity', args: { column: undefined } });
  expect(names(plain)).toEqual(['piece-1#r1', 'piece-1#r2', 'piece-1#r3', 'piece-1#r4']);
});

test('a row keeps the names of its copies when rows are sorted, switched off and pasted again', () => {
  const sorted = runAll(listed(), { name: 'sort-list', args: { column: 'bed' } });
  expect(column(sorted, 'name')).toEqual(['Sea Holly', 'Aster', 'Yarrow', 'fennel']);
  expect(names(sorted)).toEqual(['piece-1#r2', 'piece-1#r4', 'piece-1#r1', 'piece-1#r1.2']);
  expect(findCopy(sorted, 'piece-1#r4')?.number).toBe(2);
  const fewer = runAll(sorted, { name: 'switch-rows', args: { rows: ['r4'], on: false } });
  expect(names(fewer)).toEqual(['piece-1#r2', 'piece-1#r1', 'piece-1#r1.2']);
  const again = expectOk(
    parseList('name\tbed\tcopies\nAster\tBed 3\t1\nIvy\tWall\t1\nSea Holly\tBed 9\t'),
  );
  const pasted = runAll(fewer, { name: 'set-list', args: { list: again } });
  expect(listOf(pasted).rows.map(({ key, off }) => [key, off ?? false])).toEqual([
    ['r4', true],
    ['r6', false],
    ['r2', false],
  ]);
});

test('sorting is by numbers where there are some, and empty fields come last both ways', () => {
  const sort = (down: boolean): Job =>
    runAll(listed(), { name: 'sort-list', args: { column: 'bed', down } });
  expect(column(sort(false), 'bed')).toEqual(['Bed 9', 'Bed 9', 'Bed 10', '']);
  expect(column(sort(true), 'bed')).toEqual(['Bed 10', 'Bed 9', 'Bed 9', '']);
  const byName = runAll(listed(), { name: 'sort-list', args: { column: 'name' } });
  expect(column(byName, 'name')).toEqual(['Aster', 'fennel', 'Sea Holly', 'Yarrow']);
});

test('a quantity that is no number is none, and an empty one is one copy', () => {
  const job = runAll(listed(), {
    name: 'change-fields',
    args: { fields: { r1: { copies: 'a few' }, r2: { copies: ' 3 ' }, r4: { copies: '1.5' } } },
  });
  const { rows } = listOf(job);
  expect(rows.map((row) => findQuantity(listOf(job), row))).toEqual([undefined, 3, 0, undefined]);
  expect(names(job)).toEqual(['piece-1#r2', 'piece-1#r2.2', 'piece-1#r2.3']);
});

test('a renamed column keeps what is bound to it and its placeholders', () => {
  const job = runAll(
    listed(),
    {
      name: 'add-element',
      args: { piece: 'piece-1', element: exampleWords({ text: '{name} in {bed}' }) },
    },
    { name: 'bind-color', args: { color: '#5D2A53', column: 'bed' } },
    { name: 'rename-column', args: { column: 'bed', name: 'Place!' } },
    { name: 'rename-column', args: { column: 'copies', name: 'name' } },
  );
  expect(listOf(job).columns).toEqual(['name', 'Place', 'name 2']);
  expect(listOf(job).quantity).toBe('name 2');
  expect(listOf(job).colors).toEqual([{ column: 'Place', color: '#5d2a53' }]);
  const [words] = job.pieces[0]?.elements ?? [];
  expect(words?.kind === 'words' && words.text).toBe('{name} in {Place}');
});

test('columns come and go with their fields, and the last one stays', () => {
  const job = runAll(
    listed(),
    { name: 'add-column', args: { name: 'note' } },
    { name: 'change-fields', args: { fields: { r2: { note: 'cut back' } } } },
    { name: 'delete-column', args: { column: 'copies' } },
  );
  expect(listOf(job).quantity).toBeUndefined();
  expect(listOf(job).rows[1]?.fields).toEqual(['Sea Holly', 'Bed 9', 'cut back']);
  const one = runAll(
    job,
    { name: 'delete-column', args: { column: 'bed' } },
    { name: 'delete-column', args: { column: 'note' } },
  );
  expect(isProblem(runCommand(one, { name: 'delete-column', args: { column: 'name' } }))).toBe(
    true,
  );
});

test('numbers are filled in steps with zeros, and a draw is the same for the same seed', () => {
  const call = (draw?: number): CommandCall => ({
    name: 'number-rows',
    args: { column: 'bed', from: 5, step: 5, digits: 3, ...(draw === undefined ? {} : { draw }) },
  });
  expect(column(runAll(listed(), call()), 'bed')).toEqual(['005', '010', '015', '020']);
  const drawn = column(runAll(listed(), call(7)), 'bed');
  expect(drawn).toEqual(column(runAll(listed(), call(7)), 'bed'));
  expect([...drawn].sort()).toEqual(['005', '010', '015', '020']);
  const orders = new Set(
    Array.from({ length: 40 }, (_, seed) => column(runAll(listed(), call(seed)), 'bed').join()),
  );
  expect(orders.size).toBeGreaterThan(12); // of 24 that there are
});

test('rows are added behind a row and taken away; the first one makes the list', () => {
  const first = runAll(lid, { name: 'add-rows', args: { rows: [['Ivy'], ['Moss']] } });
  expect(first.list).toEqual({
    columns: ['name'],
    rows: [
      { key: 'r1', fields: ['Ivy'] },
      { key: 'r2', fields: ['Moss'] },
    ],
  });
  const more = runAll(
    first,
    { name: 'add-rows', args: { rows: [['Fern']], behind: 'r1' } },
    { name: 'delete-rows', args: { rows: ['r2'] } },
  );
  expect(listOf(more).rows.map(({ key }) => key)).toEqual(['r1', 'r3']);
});

test('copies that rows give are taken away with their row, or leave their place empty', () => {
  const job = runAll(listed(), {
    name: 'remove-copies',
    args: { copies: ['piece-1#r1.2', 'piece-1#r2'] },
  });
  expect(listOf(job).rows.map(({ off }) => off ?? false)).toEqual([false, true, false, false]);
  expect(job.oneOffs).toEqual({ 'piece-1#r1.2': { out: true } });
  const more = runCommand(job, {
    name: 'repeat-copies',
    args: { copies: ['piece-1#r4'], across: 2, down: 1, dx: 60, dy: 0 },
  });
  expect(isProblem(more) && problemText(more).what).toContain(
    'The list of this piece says how many',
  );
});

test('what is too much, or not there, is refused and changes nothing', () => {
  const job = listed();
  const refusals: CommandCall[] = [
    { name: 'change-fields', args: { fields: { r1: { nothing: 'x' } } } },
    { name: 'change-fields', args: { fields: { r1: { name: 'x'.repeat(2001) } } } },
    { name: 'sort-list', args: { column: 'nothing' } },
    { name: 'want-rows', args: { piece: 'piece-1', each: 0 } },
    { name: 'number-rows', args: { column: 'bed', from: 0.5 } },
    { name: 'bind-color', args: { color: 'plum', column: 'bed' } },
    { name: 'add-rows', args: { rows: Array.from({ length: 4999 }, () => ['x']) } },
  ];
  for (const call of refusals)
    expect([call.name, isProblem(runCommand(job, call))]).toEqual([call.name, true]);
  expect(isProblem(runCommand(lid, { name: 'sort-list', args: { column: 'name' } }))).toBe(true);
});
