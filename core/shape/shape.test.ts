import {
  boxOfRings,
  distanceToRings,
  flatten,
  signedArea,
  translation,
} from '../geometry/index.ts';
import {
  arcPoint,
  edgeRings,
  placeEdge,
  insetShape,
  plainShape,
  shapeMeasures,
  resizedShape,
  SHAPE_KINDS,
  shapePath,
  shapeSize,
  type CutLine,
  type EdgeShape,
} from './index.ts';

const EXAMPLES: Record<EdgeShape['kind'], EdgeShape> = {
  circle: { kind: 'circle', diameter: 58 },
  ellipse: { kind: 'ellipse', width: 80, height: 50 },
  rectangle: { kind: 'rectangle', width: 76, height: 102, radius: 4 },
  ring: { kind: 'ring', outer: 114, inner: 30 },
  arc: { kind: 'arc', radius: 260, slant: 62, angle: 66, wide: 'top' },
  arch: { kind: 'arch', width: 60, height: 90, rise: 30 },
  outline: {
    kind: 'outline',
    rings: [
      [
        { x: -30, y: -20 },
        { x: 30, y: -20 },
        { x: 30, y: 20 },
        { x: -30, y: 20 },
      ],
    ],
  },
  polygon: plainShape('polygon', 60, 44),
  scallop: plainShape('scallop', 60, 44),
  ticket: plainShape('ticket', 60, 44),
  shield: plainShape('shield', 60, 44),
  banner: plainShape('banner', 60, 44),
  heart: plainShape('heart', 60, 44),
  leaf: plainShape('leaf', 60, 44),
  tag: {
    kind: 'tag',
    width: 50,
    height: 90,
    corner: 10,
    corners: 'clipped',
    which: 'top',
    holes: [{ x: 0, y: -36, width: 5, height: 5 }],
  },
};

/** Their corners do not point along their box: grown, they reach out further. */
const POINTED: readonly EdgeShape['kind'][] = [
  'polygon',
  'scallop',
  'banner',
  'heart',
  'leaf',
  'shield',
];

test.each(SHAPE_KINDS)('a %s fills its size, grows evenly and resizes', (kind) => {
  const shape = EXAMPLES[kind];
  const { width, height } = shapeSize(shape);
  // The corners of a bent band do not point along its box: shrunk, they come in further.
  const grows = POINTED.includes(kind) ? [0] : kind === 'arc' ? [0, 2] : [0, 2, -3];
  for (const by of grows) {
    const box = boxOfRings(flatten(shapePath(shape, by)));
    expect((box?.right ?? 0) - (box?.left ?? 0)).toBeCloseTo(width + 2 * by, 1);
    expect((box?.bottom ?? 0) - (box?.top ?? 0)).toBeCloseTo(height + 2 * by, 1);
  }
  const square = shapeSize(resizedShape(shape, 40, 40));
  expect(Math.max(square.width, square.height)).toBeCloseTo(40, 6);
  expect(Math.min(square.width, square.height)).toBeLessThanOrEqual(40 + 1e-9);
});

test('a ring and a punched tag have the area of the outline less the hole', () => {
  const area = (shape: EdgeShape, by = 0): number =>
    flatten(shapePath(shape, by), 0.002).reduce((sum, ring) => sum + signedArea(ring), 0);
  // Cubics make a disc larger by 0.03 %.
  expect(area(EXAMPLES.ring) / (Math.PI * (57 * 57 - 15 * 15))).toBeCloseTo(1, 3);
  expect(area(EXAMPLES.ring, 1) / (Math.PI * (58 * 58 - 14 * 14))).toBeCloseTo(1, 3);
  expect(area(EXAMPLES.tag)).toBeCloseTo(50 * 90 - 10 * 10 - Math.PI * 2.5 * 2.5, 1);
  expect(edgeRings(EXAMPLES.ring)).toHaveLength(2);
  expect(shapePath({ kind: 'ring', outer: 40, inner: 10 }, 6)).toHaveLength(
    shapePath({ kind: 'circle', diameter: 52 }).length,
  );
});

test('a bent band has the area of its sector, and its edges keep to their circles', () => {
  const shape = { kind: 'arc', radius: 260, slant: 62, angle: 66, wide: 'top' } as const;
  const [ring = []] = flatten(shapePath(shape), 0.001);
  const share = 66 / 360;
  expect(Math.abs(signedArea(ring))).toBeCloseTo(Math.PI * share * (260 ** 2 - 198 ** 2), 0);
  const middle = arcPoint(shape, 0, 0);
  const apex = { x: middle.x, y: middle.y + 260 };
  const radii = ring.map(({ x, y }) => Math.hypot(x - apex.x, y - apex.y));
  expect(Math.max(...radii)).toBeLessThan(260.002);
  expect(Math.min(...radii)).toBeGreaterThan(197.998);
  // More than half a turn: the box is as wide as the circle.
  const wide = { ...shape, angle: 250 };
  expect(shapeSize(wide).width).toBeCloseTo(520, 6);
  const upside = shapeSize({ ...shape, wide: 'bottom' });
  expect(upside).toEqual(shapeSize(shape));
});

test.each(SHAPE_KINDS)('a %s set in keeps its distance to the edge', (kind) => {
  const inner = flatten(shapePath(insetShape(EXAMPLES[kind], 4)), 0.01);
  const outer = flatten(shapePath(EXAMPLES[kind]), 0.01).slice(0, 1);
  const least = Math.min(...(inner[0] ?? []).map((point) => distanceToRings(point, outer)));
  expect(least).toBeGreaterThan(3);
  expect(least).toBeLessThan(4.5);
});

test('a shape shrunk past its middle is empty', () => {
  expect(shapePath({ kind: 'circle', diameter: 10 }, -5)).toEqual([]);
  expect(shapePath({ kind: 'rectangle', width: 4, height: 90, radius: 0 }, -2)).toEqual([]);
});

test('the grown oval keeps its distance all round, as no larger oval does', () => {
  const [ring] = flatten(shapePath({ kind: 'ellipse', width: 80, height: 50 }, 2));
  // Steiner: the area grows by the perimeter times the distance and a disc.
  const perimeter = 206.93; // Ramanujan's second formula for half-axes 40 and 25
  const exact = Math.PI * 40 * 25 + perimeter * 2 + Math.PI * 4;
  expect(Math.abs(signedArea(ring ?? []) - exact) / perimeter).toBeLessThan(0.01);
});

test('only an edge becomes a cut line', () => {
  const line: CutLine = {
    kind: 'kiss',
    open: false,
    rings: placeEdge(edgeRings(EXAMPLES.circle), translation(50, 40)),
  };
  expect(boxOfRings(line.rings)?.left).toBeCloseTo(21, 2);
  // @ts-expect-error rings that were drawn are not the rings of an edge
  const drawn: CutLine = { kind: 'kiss', open: false, rings: [[{ x: 0, y: 0 }]] };
  expect(drawn).toBeDefined();
});

test.each(SHAPE_KINDS)(
  'each measure of a %s can be dragged: its handle reads back what it says',
  (kind) => {
    const shape = EXAMPLES[kind];
    for (const measure of shapeMeasures(shape)) {
      const value = shape[measure.key as keyof EdgeShape] as unknown as number;
      expect(value).toBeGreaterThanOrEqual(measure.least);
      expect(value).toBeLessThanOrEqual(measure.most(shape));
      if (!measure.at || !measure.read) continue;
      const handle = measure.at(shape);
      expect(measure.read(shape, handle)).toBeCloseTo(value, 6);
      expect(Math.abs(handle.x)).toBeLessThanOrEqual(shapeSize(shape).width / 2 + 1e-9);
    }
  },
);

test('a ticket loses its four bites, a scalloped round meets its bows where its depth says', () => {
  const area = (shape: EdgeShape): number =>
    flatten(shapePath(shape), 0.001).reduce((sum, ring) => sum + signedArea(ring), 0);
  expect(area({ kind: 'ticket', width: 60, height: 40, notch: 5 })).toBeCloseTo(
    2400 - Math.PI * 25,
    1,
  );
  const round: EdgeShape = { kind: 'scallop', width: 60, height: 60, bows: 12, depth: 3 };
  const reaches = flatten(shapePath(round), 0.001)
    .flat()
    .map(({ x, y }) => Math.hypot(x, y));
  expect(Math.max(...reaches)).toBeCloseTo(30, 2);
  expect(Math.min(...reaches)).toBeCloseTo(27, 2);
});
