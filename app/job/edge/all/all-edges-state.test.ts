import { pieceSize } from '../../../../core/piece/index.ts';
import { closeDesk, openDesk } from '../../../testing/desk.ts';
import { answerCallsHere } from '../../../testing/page-globals.ts';

await answerCallsHere();
const { useAllEdges } = await import('./all-edges-state.ts');

afterEach(closeDesk);

/** Three lids of 40, 50 and 60 mm, all looked at together. */
async function opened() {
  const desk = await openDesk('own');
  const { store } = desk;
  for (const [at, diameter] of [40, 50, 60].entries()) {
    if (at > 0) store.act({ name: 'copy-piece', args: { piece: 'piece-1', name: `Lid ${at}` } });
    const piece = store.job?.pieces[at]?.id ?? '';
    const edge = { kind: 'circle' as const, diameter };
    store.act({ name: 'change-piece', args: { piece, changes: { edge } } });
  }
  const all = useAllEdges();
  const widths = (): number[] => (store.job?.pieces ?? []).map((piece) => pieceSize(piece).width);
  const ids = (store.job?.pieces ?? []).map(({ id }) => id);
  return { all, store, widths, ids };
}

/** Waits until nothing is worked out any more. */
async function quiet(all: Awaited<ReturnType<typeof opened>>['all']): Promise<void> {
  for (let waited = 0; all.busy.value && waited < 300; waited++)
    await new Promise((go) => setTimeout(go, 10));
  expect(all.busy.value).toBe(false);
}

test('none chosen means all; those that are chosen change alone', async () => {
  const { all, widths, ids } = await opened();
  expect(all.ids.value).toEqual(ids);
  all.share({ offset: 1 });
  await quiet(all);
  widths().forEach((width, at) => expect(width).toBeCloseTo(40 + at * 10 + 2, 1));
  all.choose(ids[1] ?? '');
  expect(all.ids.value).toEqual([ids[1]]);
  all.share({ offset: 3 });
  await quiet(all);
  expect(widths()[1]).toBeCloseTo(56, 1);
  expect(widths()[0]).toBeCloseTo(42, 1);
  all.choose(ids[1] ?? '');
  expect(all.ids.value).toEqual(ids);
});

test('one that differs is told and comes back as the others are', async () => {
  const { all, store, widths, ids } = await opened();
  all.share({ offset: 2 }, [ids[2] ?? '']);
  await quiet(all);
  expect(all.pieces.value.map(all.differs)).toEqual([false, false, true]);
  expect([all.mixed.value, all.shared.value.offset]).toEqual([1, 0]);
  if (all.common.value) all.share(all.common.value, [ids[2] ?? '']);
  await quiet(all);
  expect(all.pieces.value.some(all.differs)).toBe(false);
  expect(widths()[2]).toBeCloseTo(60, 1);
  store.undo();
  expect(all.mixed.value).toBe(1);
});

test('of many changes in a row the last one holds, and all are one step', async () => {
  const { all, store, widths } = await opened();
  const before = store.past.length;
  for (const offset of [1, 2, 3, 4, 5]) all.share({ offset });
  await quiet(all);
  expect(widths()[0]).toBeCloseTo(50, 1);
  expect(store.past.length - before).toBe(1);
  store.undo();
  expect(widths()).toEqual([40, 50, 60]);
});

test('what else was done meanwhile goes before what was being worked out', async () => {
  const { all, store, widths } = await opened();
  all.share({ offset: 5 });
  store.act({ name: 'rename-job', args: { name: 'Meanwhile' } });
  await quiet(all);
  expect(store.job?.name).toBe('Meanwhile');
  expect(widths()).toEqual([40, 50, 60]);
});

test('the area that copies cover, and how much of a sheet that is', async () => {
  const { all, store, ids } = await opened();
  store.act({ name: 'want-pieces', args: { pieces: ids, each: 2 } });
  const covered = [40, 50, 60].reduce((sum, d) => sum + 2 * Math.PI * (d / 2) ** 2, 0);
  expect(all.area.value.covered / covered).toBeCloseTo(1, 2);
  expect(all.area.value.sheets).toBeGreaterThan(0.2);
  expect(all.area.value.sheets).toBeLessThan(0.3);
  all.choose(ids[0] ?? '');
  expect(all.area.value.covered / (2 * Math.PI * 400)).toBeCloseTo(1, 2);
});

test('pieces that follow others are changed with them, and not shown', async () => {
  const { all, store, ids } = await opened();
  store.act({ name: 'add-variant', args: { piece: ids[0] ?? '', name: 'Of another colour' } });
  store.act({ name: 'add-back', args: { piece: ids[1] ?? '' } });
  expect(store.job?.pieces).toHaveLength(5);
  expect(all.pieces.value.map(({ id }) => id)).toEqual(ids);
});

test('copies that a hand has placed are counted', async () => {
  const { all, store, ids } = await opened();
  store.act({ name: 'want-pieces', args: { pieces: ids, each: 1 } });
  const copy = store.layout?.sheets[0]?.placements[0]?.copy ?? '';
  store.act({
    name: 'move-copies',
    args: { places: { [copy]: { sheet: 0, x: 60, y: 60, angle: 0 } } },
  });
  expect(all.placed.value).toBe(1);
});
