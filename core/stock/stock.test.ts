import {
  checkSpots,
  keepClear,
  printable,
  sheetMarks,
  SHIPPED_STOCK,
  spotCentres,
  stockSchema,
} from './index.ts';

test.each(SHIPPED_STOCK)('$name is a valid sheet that closes', (stock) => {
  expect(stockSchema.safeParse(stock).success).toBe(true);
  expect(checkSpots(stock).ok).toBe(true);
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
  const [, , stock] = SHIPPED_STOCK;
  if (!stock?.spots) throw new Error('no die-cut sheet');
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
