import type { List } from '../../../core/piece/index.ts';
import { exampleWords } from '../../../core/testing/example-job.ts';
import { closeDesk, openDesk } from '../../testing/desk.ts';

const { useListState, useSeenRows } = await import('./list-state.ts');
const { ref } = await import('vue');

afterEach(closeDesk);

const list = (...names: string[]): List => ({
  columns: ['name', 'price'],
  rows: names.map((name, at) => ({ key: `r${at + 1}`, fields: [name, `${at + 1}.50`] })),
});

/** A desk with words that a column fills and that shrink to their room. */
async function opened() {
  const desk = await openDesk();
  desk.add(exampleWords({ text: '{name}', width: 30, size: 20, fit: 'shrink', least: 4 }));
  return { desk, state: useListState(desk) };
}

test('a list is taken in one step: each row is a copy, and the first is shown', async () => {
  const { desk, state } = await opened();
  const before = desk.store.past.length;
  expect(state.take(list('Sea Holly', 'Wood Avens', 'Meadow Rue'))).toBe(true);
  expect(desk.store.past).toHaveLength(before + 1);
  expect(desk.store.committed?.plan.copiesPerRow).toEqual({ 'piece-1': 1 });
  expect(desk.store.row?.key).toBe('r1');
  desk.store.undo();
  expect(state.list.value).toBeUndefined();
});

test('rows are found by any of their fields, in capitals or not, with the number that they have', async () => {
  const { state } = await opened();
  state.take(list('Sea Holly', 'Wood Avens', 'Holly Fern'));
  state.sought.value = ' HOLLY ';
  expect(state.found.value.map(({ number }) => number)).toEqual([1, 3]);
  state.sought.value = '2.5';
  expect(state.found.value.map(({ row }) => row.key)).toEqual(['r2']);
  state.sought.value = 'oak';
  expect(state.found.value).toEqual([]);
});

test('the longest row is the one whose words come out smallest', async () => {
  const { state } = await opened();
  state.take(list('Iris', 'Great burnet and meadowsweet', 'Sea Holly'));
  const worst = state.longest('name');
  expect(worst).toMatchObject({ row: { key: 'r2' }, said: 'Great burnet and meadowsweet' });
  expect(worst?.size).toBeGreaterThanOrEqual(4);
  expect(worst?.size).toBeLessThan(20);
  expect(state.longest('price')?.size).toBeUndefined();
});

test('columns are as wide as their longest field, within bounds', async () => {
  const { state } = await opened();
  state.take(list('A'.repeat(20), 'B'.repeat(200)));
  const [name = 0, price = 0] = state.widths.value;
  expect([name, price]).toEqual([260, 96]);
});

test('of 3,000 rows only those near the ones that are seen are drawn', () => {
  const rows = ref(Array.from({ length: 3000 }, (_, at) => at));
  const { first, seen, scrolled } = useSeenRows(rows, 30);
  expect(seen.value).toEqual([...Array(20).keys()]);
  scrolled({ target: { scrollTop: 60_000, clientHeight: 600 } } as never);
  expect(first.value).toBe(1997);
  expect(seen.value).toEqual(Array.from({ length: 26 }, (_, at) => 1997 + at));
  scrolled({ target: { scrollTop: 90_000, clientHeight: 600 } } as never);
  expect(seen.value[seen.value.length - 1]).toBe(2999);
});
