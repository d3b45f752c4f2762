import {
  checkSpots,
  DIE_CUTS,
  DISC_CARRIERS,
  discCarrier,
  firstStock,
  keepClear,
  labelCost,
  MATERIAL_KINDS,
  materialSchema,
  MATT_PAPER,
  printable,
  sheetMarks,
  SHIPPED_MATERIALS,
  SHIPPED_STOCK,
  spotPlaces,
  stockSchema,
  supplySheets,
  USUAL_MARKS,
  withUsed,
  type SpotPlace,
  type Stock,
  type Supply,
} from './index.ts';
import { shapeSize } from '../shape/index.ts';
import { problemText } from '../../messages/index.ts';

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
      /^(A4|A5|US letter) die-cut, \d+ (round |oval |arched |bent )?(labels?|discs?) of [\d./ ]+( x [\d./ ]+)? (mm|in)(, staggered|, set off| in two heights)?$/,
    );
});

test('no label of any layout lies over another, staggered ones included', () => {
  for (const { name, spots } of [...DIE_CUTS, ...DISC_CARRIERS]) {
    if (!spots) throw new Error(`${name} has no labels`);
    const { width, height } = shapeSize(spots.shape);
    const places = spotPlaces(spots);
    const round = spots.shape.kind === 'circle' || spots.shape.kind === 'ring';
    for (const one of places)
      for (const other of places) {
        if (one === other) continue;
        const [x, y] = [Math.abs(one.x - other.x), Math.abs(one.y - other.y)];
        const apart = round
          ? Math.hypot(x, y) >= width - 1e-6
          : x >= width - 1e-6 || y >= height - 1e-6;
        if (!apart) throw new Error(`labels of ${width} x ${height} overlap`);
      }
  }
});

test('the die-cut sheet has 24 labels, its last one as far from the edge as its first', () => {
  const stock = SHIPPED_STOCK.find(({ id }) => id === 'a4-round-40-24');
  const centres = stock?.spots ? spotPlaces(stock.spots) : [];
  expect(centres).toHaveLength(24);
  expect(centres[5]).toEqual({ x: 81, y: 79.5, angle: 0 });
  expect(210 - (centres[23]?.x ?? 0)).toBeCloseTo(33, 6);
  expect(297 - (centres[23]?.y ?? 0)).toBeCloseTo(33.5, 6);
});

test('a sheet that does not close is named by the reading', () => {
  const stock = firstStock(true);
  if (stock.spots?.layout !== 'grid') throw new Error('no die-cut sheet');
  const wide = checkSpots({ ...stock, spots: { ...stock.spots, columns: 5 } });
  expect(!wide.ok && problemText(wide.problem).what).toBe(
    "The labels need 245 mm of the sheet's width of 210 mm.",
  );
  const tight = checkSpots({ ...stock, spots: { ...stock.spots, pitchY: 39 } });
  expect(!tight.ok && tight.problem.code).toBe('stock/overlap');
});

test('marks stand in the corners, the first with a ring, with room for the sensor', () => {
  const sheet = { width: 210, height: 297 };
  const marks = USUAL_MARKS;
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

test('free places are refused where a label leaves the sheet or meets another, by its number', () => {
  const sheet = (places: SpotPlace[]): Stock => ({
    ...firstStock(false),
    spots: {
      layout: 'free',
      shape: { kind: 'rectangle', width: 60, height: 20, radius: 0 },
      places,
    },
  });
  const at = (x: number, y: number, angle = 0): SpotPlace => ({ x, y, angle });
  expect(checkSpots(sheet([at(40, 40), at(101, 40), at(40, 61)])).ok).toBe(true);
  const over = checkSpots(sheet([at(40, 40), at(120, 40), at(80, 40, 90)]));
  expect(over.ok).toBe(true); // lying between the two, as its turn lets it
  const met = checkSpots(sheet([at(40, 40), at(140, 40), at(68, 50)]));
  expect(!met.ok && problemText(met.problem).what).toBe('Labels 1 and 3 lie over each other.');
  const out = checkSpots(sheet([at(40, 40), at(190, 40)]));
  expect(!out.ok && problemText(out.problem).what).toBe('Label 2 runs over the edge of the sheet.');
});

test('a disc carrier prints to within a millimetre of the rim and the hub', () => {
  const one = discCarrier({ outer: 120, inner: 15 });
  expect(one.spots?.shape).toEqual({ kind: 'ring', outer: 118, inner: 17 });
  expect(spotPlaces(one.spots as never)).toHaveLength(1);
  const three = discCarrier({ outer: 76, inner: 14 }, 3);
  expect(checkSpots(three).ok).toBe(true);
  expect(stockSchema.safeParse(three).success).toBe(true);
});

test.each(SHIPPED_MATERIALS)('$name is a whole material with notes in plain words', (material) => {
  expect(materialSchema.safeParse(material).success).toBe(true);
  expect(material.applying.length).toBeGreaterThan(20);
  expect(material.wear.length).toBeGreaterThan(20);
});

test('every kind of material ships, each under a name of its own', () => {
  expect(new Set(SHIPPED_MATERIALS.map(({ kind }) => kind))).toEqual(new Set(MATERIAL_KINDS));
  expect(new Set(SHIPPED_MATERIALS.map(({ id }) => id)).size).toBe(SHIPPED_MATERIALS.length);
  const white = SHIPPED_MATERIALS.filter(({ kind }) =>
    ['clear', 'holographic', 'pearl', 'metallic'].includes(kind),
  );
  expect(white.every(({ needsWhite }) => needsWhite)).toBe(true);
});

test('a label costs its share of the pack', () => {
  expect(labelCost({ sheets: 25, price: 12 }, 24)).toBeCloseTo(0.02, 9);
  expect(labelCost(null, 24)).toBeUndefined();
  expect(labelCost({ sheets: 25, price: 12 }, 0)).toBeUndefined();
});

describe('what is on hand', () => {
  const supply: Supply = {
    id: 'rounds',
    stock: firstStock(true),
    material: { ...MATT_PAPER, pack: { sheets: 10, price: 8 } },
    packs: 2,
    loose: 3,
    started: [],
  };
  const eleven = Array.from({ length: 11 }, (_, at) => at);

  test('counts packs and loose sheets', () => {
    expect(supplySheets(supply)).toBe(23);
  });

  test('a sheet that is started is loose no more, and its labels are remembered', () => {
    const after = withUsed(supply, 0, [...eleven, 4]);
    expect(after).toMatchObject({ loose: 2, packs: 2, started: [{ used: eleven }] });
  });

  test('with no loose sheet a pack is opened', () => {
    expect(withUsed({ ...supply, loose: 0 }, 0, [0])).toMatchObject({ packs: 1, loose: 9 });
  });

  test('a sheet used up is gone, one not used after all is whole again', () => {
    const started = withUsed(supply, 0, eleven);
    const all = Array.from({ length: 24 }, (_, at) => at);
    expect(withUsed(started, 0, all)).toMatchObject({ loose: 2, started: [] });
    expect(withUsed(started, 0, [])).toMatchObject({ loose: 3, started: [] });
  });
});
