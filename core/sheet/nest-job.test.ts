import { expectOk } from '../base/index.ts';
import { parseList, type Piece } from '../piece/index.ts';
import { boxOfRings, flatten, mapRing, placed } from '../geometry/index.ts';
import { shapePath, type EdgeShape } from '../shape/index.ts';
import { firstStock, PLAIN_SHEETS, printable, USUAL_MARKS, type Stock } from '../stock/index.ts';
import { findLayoutViolations } from '../packing/index.ts';
import {
  arrange,
  isBetterNest,
  nestJob,
  type Arrangeable,
  type NestedJob,
  type Plan,
} from './index.ts';

const piece = (id: string, edge: EdgeShape): Piece => ({
  id,
  name: id,
  edge,
  bleed: 2,
  safe: 2,
  ground: '#f4e9d4',
  elements: [],
});
const HEART: EdgeShape = { kind: 'heart', width: 50, height: 46, dip: 10 };
const SEAL: EdgeShape = { kind: 'circle', diameter: 58 };
const job = (changes: Partial<Plan>): Arrangeable => ({
  pieces: [piece('seal', SEAL), piece('heart', HEART)],
  stock: firstStock(false),
  plan: {
    arrangement: 'nest',
    gap: 2,
    marks: { ...USUAL_MARKS, on: false },
    cut: 'kiss',
    wanted: { seal: 4, heart: 6 },
    usedLabels: [],
    handPlaces: {},
    ...changes,
  },
});

test('the wanted copies of a job are nested and lie as they were found', async () => {
  const wanted = job({});
  const found = await nestJob(wanted, { rounds: 3, seed: 1 });
  expect(found).toMatchObject({ copies: 10, counts: { seal: 4, heart: 6 } });
  expect(found.sheets).toHaveLength(1);
  const layout = arrange(job({ nested: found.sheets.map((sheet) => [...sheet]) }));
  const placements = layout.sheets[0]?.placements ?? [];
  expect(placements.map(({ copy }) => copy)).toContain('heart#6');
  expect(layout).toMatchObject({ perSheet: 10, freePlaces: 0, left: {} });
  const edges: Readonly<Record<string, EdgeShape>> = { seal: SEAL, heart: HEART };
  const rings = placements.map(({ piece: id, x, y, angle }) =>
    mapRing(flatten(shapePath(edges[id] ?? SEAL))[0] ?? [], placed(x, y, angle)),
  );
  expect(findLayoutViolations(rings, { area: printable(wanted.stock), taken: [], gap: 2 })).toEqual(
    {
      outside: [],
      onTaken: [],
      near: [],
    },
  );
});

test('what is wanted beyond that follows in rows, and is nested with the next search', async () => {
  const first = await nestJob(job({ wanted: { seal: 2, heart: 0 } }), { rounds: 1, seed: 1 });
  const nested = first.sheets.map((sheet) => [...sheet]);
  const more = job({ wanted: { seal: 3, heart: 2 }, nested });
  const layout = arrange(more);
  expect(layout.sheets.map(({ placements }) => placements.length)).toEqual([2, 3]);
  const next = await nestJob(more, { rounds: 1, seed: 1 });
  expect(next.sheets.map((sheet) => sheet.length)).toEqual([5]);
  // Those that lay there already stay where they were.
  for (const { piece: id, x, y } of nested[0] ?? []) {
    const near = next.sheets[0]?.filter((one) => Math.hypot(one.x - x, one.y - y) < 0.3);
    expect(near?.map((one) => one.piece)).toEqual([id]);
  }
  const fewer = arrange(job({ wanted: { seal: 1, heart: 0 }, nested }));
  expect(fewer.sheets.map(({ placements }) => placements.length)).toEqual([1]);
});

test('what is left of a sheet is filled with more of what is wanted', async () => {
  const first = await nestJob(job({}), { rounds: 1, seed: 1 });
  const nested = first.sheets.map((sheet) => [...sheet]);
  const filled = await nestJob(job({ nested }), { rounds: 2, seed: 1, fill: true });
  expect(filled.sheets).toHaveLength(1);
  expect(filled.copies).toBeGreaterThan(13); // twelve seals alone stand there in rows
  expect(filled.used).toBeGreaterThan(first.used);
});

test('nothing that is wanted goes for more of something else', async () => {
  const wanted = { seal: 1, heart: 16 };
  const first = await nestJob(job({ wanted }), { rounds: 5, seed: 1 });
  expect(first.counts).toEqual(wanted);
  const nested = first.sheets.map((sheet) => [...sheet]);
  for (const seed of [1, 2]) {
    const filled = await nestJob(job({ wanted, nested }), { rounds: 60, seed, fill: true });
    expect(filled.sheets).toHaveLength(1);
    expect(filled.counts.seal).toBeGreaterThanOrEqual(1);
    expect(filled.counts.heart).toBeGreaterThanOrEqual(16);
    expect(filled.used).toBeGreaterThanOrEqual(first.used);
  }
});

test('what is left is not filled with more of what a list counts', async () => {
  const list = expectOk(parseList('Name\nSea Holly\nBorage\nYarrow'));
  const counted = { pieces: [piece('seal', SEAL)], list };
  const listed = { ...job({ wanted: {}, copiesPerRow: { seal: 1 } }), ...counted };
  const found = await nestJob(listed, { rounds: 3, seed: 1, fill: true });
  expect(found.counts).toEqual({ seal: 3 });
});

test('copies that may not be turned stand upright', async () => {
  const found = await nestJob(job({ turns: 'none' }), { rounds: 2, seed: 4 });
  expect(new Set(found.sheets.flat().map(({ angle }) => angle))).toEqual(new Set([0]));
  const box = boxOfRings(flatten(shapePath(HEART)));
  const heart = found.sheets.flat().find(({ piece: id }) => id === 'heart');
  expect((heart?.x ?? 0) + (box?.left ?? 0)).toBeGreaterThanOrEqual(5 - 0.001);
});

test('pinned copies stay, and the others are nested around them on each sheet', async () => {
  const handPlaces = { 'heart#1': { sheet: 0, x: 105, y: 148, angle: 30, pinned: true } };
  const pinned = job({ wanted: { seal: 0, heart: 40 }, handPlaces });
  const found = await nestJob(pinned, { rounds: 2, seed: 1 });
  expect(found.counts.heart).toBe(40);
  expect(found.copies).toBe(39);
  const layout = arrange(job({ ...pinned.plan, nested: found.sheets.map((sheet) => [...sheet]) }));
  const [first] = layout.sheets;
  expect(first?.placements.find(({ copy }) => copy === 'heart#1')).toMatchObject({
    x: 105,
    y: 148,
    angle: 30,
    byHand: true,
  });
  const outline = flatten(shapePath(HEART))[0] ?? [];
  const rings = (first?.placements ?? []).map(({ x, y, angle }) =>
    mapRing(outline, placed(x, y, angle)),
  );
  expect(findLayoutViolations(rings, { area: printable(pinned.stock), taken: [], gap: 2 })).toEqual(
    {
      outside: [],
      onTaken: [],
      near: [],
    },
  );
});

test('sheets in another order are nested on where they lie', async () => {
  const at = (x: number) => [{ piece: 'heart', x, y: 60, angle: 0 }];
  const mixed = job({ wanted: { seal: 0, heart: 2 }, nested: [at(40), at(90)], order: [1, 0] });
  const found = await nestJob(mixed, { rounds: 0, seed: 1 });
  expect(found.sheets[0]?.some(({ x }) => Math.abs(x - 90) < 0.5)).toBe(true);
  const [first] = arrange(mixed).sheets;
  expect(first?.placements.map(({ x }) => x)).toEqual([90]);
});

test('a sheet on a smaller stock is nested within that', async () => {
  const small = PLAIN_SHEETS.find(({ id }) => id === 'a5') as Stock;
  const mixed = job({ wanted: { seal: 0, heart: 30 }, stocks: { '0': small } });
  const found = await nestJob(mixed, { rounds: 1, seed: 1 });
  const outline = flatten(shapePath(HEART))[0] ?? [];
  const [first = [], second = []] = found.sheets.map((sheet) =>
    sheet.map(({ x, y, angle }) => mapRing(outline, placed(x, y, angle))),
  );
  expect(
    findLayoutViolations(first, { area: printable(small), taken: [], gap: 2 }).outside,
  ).toEqual([]);
  expect(second.length).toBeGreaterThan(first.length);
});

test('what is heard never gets worse, and nothing that is heard beats the answer', async () => {
  const asked: [Arrangeable, boolean][] = [
    [job({ wanted: { seal: 14, heart: 22 } }), false],
    // Filled up, a wanted small copy counts more than a larger one that was not asked for.
    [job({ wanted: { seal: 1, heart: 9 } }), true],
  ];
  for (const [wanted, fill] of asked) {
    const heard: NestedJob[] = [];
    const answer = await nestJob(wanted, {
      rounds: 60,
      seed: 3,
      fill,
      better: (found) => heard.push(found),
    });
    expect(heard.length).toBeGreaterThan(2);
    heard.forEach((found, at) => {
      const before = heard[at - 1];
      if (before) expect(isBetterNest(before, found)).toBe(false);
      expect(isBetterNest(found, answer)).toBe(false);
    });
  }
});

test('of as much, fewer sheets are better, then an emptier last one', () => {
  const made = (worth: number, sheets: number, last: number): NestedJob => ({
    sheets: Array.from({ length: sheets }, () => []),
    copies: 1,
    counts: {},
    used: 0.5,
    worth,
    last,
  });
  expect(isBetterNest(made(9, 3, 1), made(8, 2, 1))).toBe(true);
  expect(isBetterNest(made(9, 2, 5), made(9, 3, 1))).toBe(true);
  expect(isBetterNest(made(9, 2, 1), made(9, 2, 5))).toBe(true);
  expect(isBetterNest(made(9, 2, 5), made(9, 2, 5))).toBe(false);
});
