import { createPinia, setActivePinia } from 'pinia';
import {
  MATT_PAPER,
  SHIPPED_MATERIALS,
  SHIPPED_STOCK,
  spotCount,
  type Stock,
} from '../../core/stock/index.ts';
import '../testing/page-globals.ts';

const { changedSince, useStockRoom } = await import('./stock-room-store.ts');
const { keepStockRoom, stockRoom } = await import('../storage/index.ts');
const { EMPTY_STOCK_ROOM } = await import('../storage/index.ts');
const { useMessages } = await import('../ui/messages-store.ts');

const labels = SHIPPED_STOCK.find(({ spots }) => spots && spotCount(spots) === 12) as Stock;

beforeEach(async () => {
  setActivePinia(createPinia());
  await keepStockRoom(EMPTY_STOCK_ROOM);
});

test('a shipped material that is changed stands in its place, is kept, and comes back by undo', async () => {
  const room = useStockRoom();
  await room.keepMaterial({ ...MATT_PAPER, drying: 90 });
  expect(room.materials).toHaveLength(SHIPPED_MATERIALS.length);
  expect(room.materials.find(({ id }) => id === MATT_PAPER.id)?.drying).toBe(90);
  expect((await stockRoom()).materials).toHaveLength(1);
  await room.forgetMaterial(MATT_PAPER);
  expect([room.isChanged(MATT_PAPER.id), room.materials]).toEqual([false, SHIPPED_MATERIALS]);
  useMessages().shown?.action?.run();
  await room.start();
  expect(room.materials.find(({ id }) => id === MATT_PAPER.id)?.drying).toBe(90);
});

test('a copy of a material has an id and a name of its own', async () => {
  const room = useStockRoom();
  const [one, two] = [await room.copyMaterial(MATT_PAPER), await room.copyMaterial(MATT_PAPER)];
  expect(new Set([MATT_PAPER.id, one.id, two.id]).size).toBe(3);
  expect(one.name).toContain(MATT_PAPER.name);
  expect(room.materials).toHaveLength(SHIPPED_MATERIALS.length + 2);
});

test('sheets on hand: one pack where its size is known, else one sheet; started ones lose labels', async () => {
  const room = useStockRoom();
  const loose = await room.addSupply(labels, { ...MATT_PAPER, pack: null });
  const packed = await room.addSupply(labels, { ...MATT_PAPER, pack: { sheets: 25, price: 10 } });
  expect([loose.packs, loose.loose, packed.packs, packed.loose]).toEqual([0, 1, 1, 0]);
  await room.useSpots(packed, 0, [0, 1]);
  // The pack was opened for it: 24 sheets are left whole, and one is started.
  expect(room.room.supplies.find(({ id }) => id === packed.id)).toMatchObject({
    packs: 0,
    loose: 24,
    started: [{ used: [0, 1] }],
  });
  await room.removeSupply(loose);
  expect(room.room.supplies.map(({ id }) => id)).toEqual([packed.id]);
});

test('what was used last comes first, six at most; favourites are once each', async () => {
  const room = useStockRoom();
  const some = SHIPPED_STOCK.slice(0, 8);
  for (const stock of [...some, some[7] as Stock]) await room.noteUse(stock);
  expect(room.recent.map(({ id }) => id)).toEqual(
    some
      .slice(2)
      .reverse()
      .map(({ id }) => id),
  );
  await room.setFavourite(labels.id, true);
  await room.setFavourite(labels.id, true);
  expect(room.favourites).toEqual([labels]);
  await room.setFavourite(labels.id, false);
  expect(room.favourites).toEqual([]);
});

test('an own sheet is offered beside the shipped ones, replaced by its id, and brought back', async () => {
  const room = useStockRoom();
  const own: Stock = { ...labels, id: 'own-jam', name: 'Jam lids' };
  await room.keepSheet(own);
  await room.keepSheet({ ...own, name: 'Jam jar lids' });
  expect(room.sheets).toHaveLength(SHIPPED_STOCK.length + 1);
  expect([room.isOwn('own-jam'), room.sheets[0]?.name]).toEqual([true, 'Jam jar lids']);
  await room.forgetSheet(own);
  expect(room.isOwn('own-jam')).toBe(false);
});

test('printers and cutters have names that are free, and a correction where a tray is measured', async () => {
  const room = useStockRoom();
  const [one, two] = [await room.addPrinter(), await room.addPrinter()];
  expect(one.id).not.toBe(two.id);
  expect(one.name).not.toBe(two.name);
  expect(room.trays).toEqual([]);
  expect(await room.correctionFor(`${one.id}/tray`)).toBeUndefined();
  const [cutter, other] = [await room.addCutter(), await room.addCutter()];
  expect(cutter.name).not.toBe(other.name);
  await room.removeCutter(cutter);
  expect(room.room.cutters.map(({ id }) => id)).toEqual([other.id]);
});

test('a job’s copy knows what it has become in the Stock room, and only when that differs', () => {
  const now = { ...MATT_PAPER, drying: MATT_PAPER.drying + 1 };
  expect(changedSince([now], MATT_PAPER)).toBe(now);
  expect(changedSince([{ ...MATT_PAPER }], MATT_PAPER)).toBeUndefined();
  expect(changedSince([], MATT_PAPER)).toBeUndefined();
});
