import {
  firstStock,
  USUAL_CUTTER,
  MATT_PAPER,
  type PrinterProfile,
} from '../../core/stock/index.ts';
import '../testing/page-globals.ts';

const { database } = await import('./database.ts');
const { EMPTY_STOCK_ROOM, keepStockRoom, mergedStockRoom, stockRoom } =
  await import('./stock-room.ts');
const { backUp, restore } = await import('./workshop.ts');
const { confirmedAddresses, keepConfirmed } = await import('./confirmed-addresses.ts');

const empty = (): Promise<unknown> =>
  Promise.all(Object.values(database).map((part) => part.clear()));
beforeEach(empty);

const rounds = { ...firstStock(true), id: 'own-rounds', name: 'Rounds' };
const supply = {
  id: 'supply',
  stock: rounds,
  material: { ...MATT_PAPER, pack: { sheets: 25, price: 12 } },
  packs: 1,
  loose: 2,
  started: [{ used: [0, 1, 2] }],
};

const bench: PrinterProfile = {
  id: 'printer',
  name: 'Bench printer',
  trays: [
    {
      id: 'tray',
      name: 'Rear tray',
      front: {
        map: [1, 0, 0, 1, 1.2, -0.8],
        residual: 0.03,
        confidence: 0.9,
        by: 'picture',
        sheet: { width: 210, height: 297 },
        date: '2026-04-18',
      },
    },
  ],
};

test('the Stock room is kept and travels with a backup', async () => {
  const room = {
    sheets: [rounds],
    materials: [{ ...MATT_PAPER, name: 'Thick matt paper' }],
    supplies: [supply],
    printers: [bench],
    cutters: [{ ...USUAL_CUTTER, id: 'bench', name: 'Bench cutter' }],
    favourites: ['own-rounds'],
    recent: ['a4'],
  };
  await keepStockRoom(room);
  const file = await backUp();
  await empty();
  expect(await stockRoom()).toEqual(EMPTY_STOCK_ROOM);
  await restore(file, 'backup.zip', 1);
  expect(await stockRoom()).toEqual(room);
});

test('sheets measured before materials stood apart are still there, a broken one takes no other along', async () => {
  const old: Record<string, unknown> = { ...rounds, color: '#ffffff', spots: { ...rounds.spots } };
  delete old.form;
  delete (old.spots as Record<string, unknown>).layout;
  const kept = [{ broken: true }, old];
  await database.workshop.setItem('own-sheets', kept);
  expect((await stockRoom()).sheets).toEqual([rounds]);
});

test('of two Stock rooms what the first has stays, and what it lacks comes from the other', () => {
  const first = { ...EMPTY_STOCK_ROOM, sheets: [rounds], favourites: ['a'] };
  const second = {
    ...EMPTY_STOCK_ROOM,
    sheets: [
      { ...rounds, name: 'Others' },
      { ...rounds, id: 'own-tags' },
    ],
    supplies: [supply],
    favourites: ['a', 'b'],
  };
  const both = mergedStockRoom(first, second);
  expect(both.sheets.map(({ id, name }) => [id, name])).toEqual([
    ['own-rounds', 'Rounds'],
    ['own-tags', 'Rounds'],
  ]);
  expect([both.supplies.length, both.favourites]).toEqual([1, ['a', 'b']]);
});

test('an address that comes with a backup is not confirmed here, one that was typed here is', async () => {
  const cutter = { id: 'a', name: 'Bench cutter', ...USUAL_CUTTER, address: 'tcp://10.0.0.9:9100' };
  await keepStockRoom({ ...EMPTY_STOCK_ROOM, cutters: [cutter] });
  const file = await backUp();
  expect([...(await confirmedAddresses())]).toEqual(['cutter tcp://10.0.0.9:9100']);
  await empty();
  await restore(file, 'backup.zip', 1);
  expect((await stockRoom()).cutters).toMatchObject([{ address: 'tcp://10.0.0.9:9100' }]);
  expect([...(await confirmedAddresses())]).toEqual([]);
  await keepConfirmed('cutter', 'tcp://10.0.0.9:9100');
  expect([...(await confirmedAddresses())]).toEqual(['cutter tcp://10.0.0.9:9100']);
});

test('materials that were kept with a grip of a mat have a tack', async () => {
  const { tack, ...old } = MATT_PAPER;
  expect(tack).toBe('none');
  await database.workshop.setItem('stock-room', {
    materials: [{ ...old, id: 'own', name: 'Card', carrier: 'light' }],
  });
  expect((await stockRoom()).materials).toMatchObject([{ id: 'own', tack: 'low' }]);
});
