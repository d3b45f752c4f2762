import fc from 'fast-check';
import {
  corners,
  apply,
  boxOf,
  compose,
  differenceOf,
  distanceBetween,
  distanceToRings,
  ellipsePath,
  findPath,
  fitAffine,
  fitSimilarity,
  flatten,
  insideParts,
  invert,
  isInside,
  mapRing,
  nested,
  offsetRegion,
  placed,
  rectanglePath,
  ringsPath,
  rotation,
  scaling,
  signedArea,
  translation,
  type Affine,
  type Point,
  type Ring,
} from './index.ts';

const coordinate = fc.double({ min: -300, max: 300, noNaN: true });
const point = fc.record({ x: coordinate, y: coordinate });
const near = (one: Point, other: Point, within = 1e-6): boolean =>
  Math.hypot(one.x - other.x, one.y - other.y) < within;

test('a quarter turn is clockwise as seen with y down', () => {
  expect(apply(rotation(90), { x: 1, y: 0 })).toEqual({ x: 0, y: 1 });
  expect(apply(rotation(-90), { x: 1, y: 0 })).toEqual({ x: 0, y: -1 });
});

test('maps compose, nest and undo each other', () => {
  fc.assert(
    fc.property(point, coordinate, coordinate, coordinate, (at, x, y, degrees) => {
      const map = placed(x, y, degrees);
      const twice = compose(map, scaling(2, 3));
      return (
        near(apply(invert(map), apply(map, at)), at) &&
        near(apply(twice, at), apply(map, apply(scaling(2, 3), at))) &&
        near(apply(nested(translation(x, y), rotation(degrees)), at), apply(map, at))
      );
    }),
  );
  expect(() => invert([1, 1, 1, 1, 0, 0])).toThrow(RangeError);
});

test('a flattened circle keeps within the tolerance and has the area of a disc', () => {
  const [ring] = flatten(ellipsePath({ x: 3, y: -2 }, 29, 29), 0.01);
  const radii = (ring ?? []).map(({ x, y }) => Math.hypot(x - 3, y + 2));
  expect(Math.max(...radii)).toBeLessThan(29.01);
  expect(Math.min(...radii)).toBeGreaterThan(28.99);
  // Chords lie within the circle, nowhere deeper than the tolerance.
  expect(Math.PI * 29 * 29 - signedArea(ring ?? [])).toBeLessThan(0.01 * 2 * Math.PI * 29);
  expect(signedArea(ring ?? [])).toBeLessThan(Math.PI * 29 * 29);
});

test('a rounded rectangle loses (4 − π)r² of its area', () => {
  const [ring] = flatten(rectanglePath({ x: 0, y: 0 }, 76, 102, 4), 0.001);
  expect(signedArea(ring ?? [])).toBeCloseTo(76 * 102 - (4 - Math.PI) * 16, 1);
});

test('path data with arcs, shorthands and quadratics is read as cubics', () => {
  const half = findPath('m 0 0 a 10 10 0 0 1 20 0 z');
  expect(half?.every((step) => 'MLCZ'.includes(step[0]))).toBe(true);
  expect(signedArea(flatten(half ?? [], 0.001)[0] ?? [])).toBeCloseTo((Math.PI * 100) / 2, 1);
  const parabola = flatten(findPath('M0 0 Q 5 10 10 0 Z') ?? [], 0.001)[0] ?? [];
  expect(Math.abs(signedArea(parabola))).toBeCloseTo((2 / 3) * 10 * 5, 1);
  expect(findPath('M 0 0 L banana')).toBeUndefined();
});

test('an offset square has the exact area of its corner style', () => {
  const square = [
    [
      { x: 0, y: 0 },
      { x: 100, y: 0 },
      { x: 100, y: 100 },
      { x: 0, y: 100 },
    ],
  ];
  const area = (rings: readonly (readonly Point[])[]): number =>
    rings.reduce((sum, ring) => sum + signedArea(ring), 0);
  expect(area(offsetRegion(square, 3, 'mitre'))).toBeCloseTo(106 * 106, 3);
  expect(area(offsetRegion(square, 3, 'round'))).toBeCloseTo(10_000 + 1200 + Math.PI * 9, 1);
  expect(area(offsetRegion(square, -3, 'round'))).toBeCloseTo(94 * 94, 3);
  const bite = mapRing(square[0] ?? [], translation(50, 50));
  expect(area(differenceOf(square, [bite]))).toBeCloseTo(7500, 3);
});

test('distance between outlines is what circles say it is, and negative inside', () => {
  const circle = (x: number): readonly (readonly Point[])[] =>
    flatten(ellipsePath({ x, y: 0 }, 10, 10), 0.001);
  expect(distanceBetween(circle(0), circle(23))).toBeCloseTo(3, 2);
  expect(distanceBetween(circle(0), circle(18))).toBeLessThan(-1.9);
  // What is far is told as that far; how deep something reaches is told in full all the same.
  expect(distanceBetween(circle(0), circle(23), 5)).toBeCloseTo(3, 2);
  expect(distanceBetween(circle(0), circle(23), 1)).toBe(1);
  expect(distanceBetween(circle(0), circle(18), 0.01)).toBeLessThan(-1.9);
  // Beside each other in a row, one over the other by 10 mm: no corner lies inside.
  const plate = (x: number, width: number, height: number, y = 0): Ring[] => [
    corners({ left: x, top: y, right: x + width, bottom: y + height }),
  ];
  expect(distanceBetween(plate(0, 40, 30), plate(30, 40, 30))).toBeCloseTo(-10, 6);
  expect(distanceBetween(plate(0, 40, 30), plate(40, 40, 30))).toBeCloseTo(0, 6);
  // Crossed, with neither a corner nor a middle inside.
  expect(distanceBetween(plate(0, 100, 10), plate(80, 8, 100, -20))).toBeLessThan(-0.04);
  expect(distanceToRings({ x: 0, y: 0 }, circle(0))).toBeCloseTo(10, 2);
  expect(isInside({ x: 9, y: 0 }, circle(0))).toBe(true);
  expect(isInside({ x: 9, y: 9 }, circle(0))).toBe(false);
});

test('least squares finds back the map that points were moved by', () => {
  const truth: Affine = [1.004, 0.02, -0.017, 0.998, 1.5, -0.7];
  const similar: Affine = compose(placed(2, -3, 1.5), scaling(0.993));
  fc.assert(
    fc.property(fc.array(point, { minLength: 4, maxLength: 9 }), (points) => {
      const spread = boxOf(points);
      fc.pre(!!spread && spread.right - spread.left > 20 && spread.bottom - spread.top > 20);
      const pairs = (map: Affine) => points.map((from) => ({ from, to: apply(map, from) }));
      const back = fitSimilarity(pairs(similar));
      return points.every((at) => near(apply(back, at), apply(similar, at), 1e-6));
    }),
  );
  const marks = [
    { x: 0, y: 0 },
    { x: 200, y: 0 },
    { x: 200, y: 280 },
    { x: 0, y: 280 },
  ];
  const found = fitAffine(marks.map((from) => ({ from, to: apply(truth, from) })));
  found.forEach((value, index) => expect(value).toBeCloseTo(truth[index] ?? NaN, 9));
  expect(() => fitAffine([0, 1, 2].map((x) => ({ from: { x, y: x }, to: { x, y: x } })))).toThrow();
});

test('rings become a path and come back', () => {
  const ring = [
    { x: 0, y: 0 },
    { x: 4, y: 0 },
    { x: 0, y: 3 },
  ];
  expect(flatten(ringsPath([ring]))).toEqual([ring]);
});

test('of a line the stretches inside rings are kept, holes and all', () => {
  const square = (side: number): { x: number; y: number }[] => [
    { x: -side, y: -side },
    { x: side, y: -side },
    { x: side, y: side },
    { x: -side, y: side },
  ];
  const line = [
    { x: -30, y: 1 },
    { x: 30, y: 1 },
  ] as const;
  const found = insideParts(line, [square(20), [...square(5)].reverse()]);
  expect(found.map(([from, to]) => [from.x, to.x])).toEqual([
    [-20, -5],
    [5, 20],
  ]);
  expect(
    insideParts(
      [
        { x: -30, y: 25 },
        { x: 30, y: 25 },
      ],
      [square(20)],
    ),
  ).toEqual([]);
});

test('the path of a circle leaves the circle by less than 5 millionths of its radius', () => {
  const [ring = []] = flatten(ellipsePath({ x: 0, y: 0 }, 100, 100), 1e-5);
  const away = ring.map(({ x, y }) => Math.abs(Math.hypot(x, y) / 100 - 1));
  expect(Math.max(...away)).toBeLessThan(5e-6);
});

test('what goes on after a close begins where the closed line began', () => {
  expect(findPath('M10 10h4v4zl-5 0v-5zm1 1h2')).toEqual([
    ['M', 10, 10],
    ['L', 14, 10],
    ['L', 14, 14],
    ['Z'],
    ['M', 10, 10],
    ['L', 5, 10],
    ['L', 5, 5],
    ['Z'],
    ['M', 11, 11],
    ['L', 13, 11],
  ]);
  expect(flatten(findPath('M0 0h4v4zL-5 0v-5z') ?? [])).toHaveLength(2);
});
