import {
  checkSpots,
  DIE_CUTS,
  firstStock,
  keepClear,
  printable,
  sheetMarks,
  SHIPPED_STOCK,
  spotCentres,
  stockSchema,
} from './index.ts';
import { shapeSize } from '../shape/index.ts';

test.each(SHIPPED_STOCK)('$name is a valid sheet that closes', (stock) => {
  expect(stockSchema.safeParse(stock).success).toBe(true);
  expect(checkSpots(stock).ok).toBe(true);
});

test('at least sixty die-cut layouts ship, each under a name of its own that no maker would claim', () => {
  expect(DIE_CUTS.length).toBeGreaterThanOrEqual(60);
  expect(new Set(SHIPPED_STOCK.map(({ id }) => id)).size).toBe(SHIPPED_STOCK.length);
  expect(new Set(SHIPPED_STOCK.map(({ name }) => name)).size).toBe(SHIPPED_STOCK.length);
  for (const { name } of DIE_CUTS)
    expect(name).toMatch(
      /^(A4|US letter) die-cut, \d+ (round |oval |disc )?labels? of [\d./ ]+( x [\d./ ]+)? (mm|in)(, staggered)?$/,
    );
});

test('no label of any layout lies over another, staggered ones included', () => {
  for (const { spots } of DIE_CUTS) {
    if (!spots) continue;
    const { width, height } = shapeSize(spots.shape);
    const centres = spotCentres(spots);
    for (const one of centres)
      for (const other of centres) {
        if (one === other) continue;
        const [x, y] = [Math.abs(one.x - other.x), Math.abs(one.y - other.y)];
        const apart =
          spots.shape.kind === 'circle'
            ? Math.hypot(x, y) >= width - 1e-6
            : x >= width - 1e-6 || y >= height - 1e-6;
        if (!apart) throw new Error(`labels of ${width} x ${height} overlap`);
      }
  }
});

test('the die-cut sheet has 24 labels, its last one as far from the edge as its first', () => {
  const stock = SHIPPED_STOCK.find(({ id }) => id === 'a4-round-40-24');
  const centres = stock?.spots ? spotCentres(stock.spots) : [];
  expect(centres).toHaveLength(24);
  expect(centres[5]).toEqual({ x: 81, y: 79.5 });
  expect(210 - (centres[23]?.x ?? 0)).toBeCloseTo(33, 6);
  expect(297 - (centres[23]?.y ?? 0)).toBeCloseTo(33.5, 6);
});

test('a sheet that does not close is named by the reading', () => {
  const stock = firstStock(true);
  if (!stock.spots) throw new Error('no die-cut sheet');
  const wide = checkSpots({ ...stock, spots: { ...stock.spots, columns: 5 } });
  expect(!wide.ok && wide.problem.what).toBe(
    "The labels need 245 mm of the sheet's width of 210 mm.",
  );
  const tight = checkSpots({ ...stock, spots: { ...stock.spots, pitchY: 39 } });
  expect(!tight.ok && tight.problem.code).toBe('stock/overlap');
});

test('marks stand in the corners, the first with a ring, with room for the sensor', () => {
  const sheet = { width: 210, height: 297 };
  const marks = { on: true, size: 5, inset: 11 };
  expect(sheetMarks(sheet, marks).map(({ x, y, style }) => [x, y, style])).toEqual([
    [11, 11, 'ring'],
    [199, 11, 'dot'],
    [199, 286, 'dot'],
    [11, 286, 'dot'],
  ]);
  const [zone] = keepClear(sheet, marks);
  expect(zone?.right).toBeCloseTo(11 + 4 + 5 * 0.85, 6);
  expect(sheetMarks(sheet, { ...marks, on: false })).toEqual([]);
});

test('the printable area is the sheet less its margins', () => {
  const [a4] = SHIPPED_STOCK;
  expect(a4 && printable(a4)).toEqual({ left: 5, top: 5, right: 205, bottom: 292 });
});
