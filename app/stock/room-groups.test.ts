import {
  DIE_CUTS,
  discCarrier,
  MATT_PAPER,
  PLAIN_SHEETS,
  SHIPPED_MATERIALS,
  type Stock,
  type Supply,
} from '../../core/stock/index.ts';
import { roomGroups } from './room-groups.ts';
import { materialNote, sheetSize, supplyFact } from './stock-words.ts';

const mm = { typed: '', unit: 'mm' } as const;
const own = (sheets: readonly Stock[] = []) => ({
  room: { sheets },
  favourites: [] as Stock[],
  recent: [] as Stock[],
});

test('sheets and discs stand apart, and all that ships is in one of them', () => {
  const shown = (['sheets', 'discs'] as const).map((part) =>
    roomGroups(part, own(), mm).flatMap(({ offers }) => offers.map(({ stock }) => stock.id)),
  );
  const [sheets = [], discs = []] = shown;
  expect(sheets.some((id) => discs.includes(id))).toBe(false);
  expect(sheets.length + discs.length).toBe(PLAIN_SHEETS.length + DIE_CUTS.length + 3);
});

test('a carrier of one’s own is among the discs, told by its discs', () => {
  const mine = { ...discCarrier({ outer: 76, inner: 14 }, 2), id: 'own-carrier', name: 'Mine' };
  const [yours] = roomGroups('discs', own([mine]), mm);
  expect(yours).toMatchObject({ title: 'Your sheets', offers: [{ fact: '2 discs' }] });
  expect(roomGroups('sheets', own([mine]), mm)[0]?.title).toBe('Plain sheets');
});

test('what was used last is not shown twice', () => {
  const [a4, letter] = PLAIN_SHEETS as readonly [Stock, Stock];
  const shelves = { ...own(), favourites: [a4], recent: [a4, letter] };
  const recent = roomGroups('sheets', shelves, mm).find(({ title }) => title === 'Used recently');
  expect(recent?.offers.map(({ stock }) => stock.id)).toEqual(['letter']);
});

test('a search is among its part alone', () => {
  const [found] = roomGroups('discs', own(), { typed: '80 mm', unit: 'mm' });
  expect(found?.title).toBe('Nearest first');
  const kinds = found?.offers.map(({ stock }) => stock.spots?.shape.kind);
  expect(new Set(kinds)).toEqual(new Set(['ring']));
});

test('sheets, materials and what is on hand are told in few words', () => {
  expect(sheetSize({ width: 210, height: 297 }, 'mm')).toBe('210 × 297 mm');
  const told = Object.fromEntries(SHIPPED_MATERIALS.map((one) => [one.id, materialNote(one)]));
  expect(told['satin-film']).toBe('Inkjet · dries 20 min');
  expect(told['laser-film']).toBe('Laser · dry at once');
  expect(told['disc-face']).toBe('Inkjet · dries 1 hour');
  const supply: Supply = {
    id: 's',
    stock: DIE_CUTS[0] as Stock,
    material: { ...MATT_PAPER, pack: { sheets: 25, price: 10 } },
    packs: 1,
    loose: 1,
    started: [],
  };
  expect(supplyFact(supply)).toBe('26 whole sheets');
  expect(supplyFact({ ...supply, packs: 0, loose: 0, started: [{ used: [0] }] })).toBe(
    '1 started sheet',
  );
  expect(supplyFact({ ...supply, packs: 0, loose: 0 })).toBe('0 whole sheets');
});
