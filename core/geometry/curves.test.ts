import fc from 'fast-check';
import {
  bow,
  boxOf,
  distanceToRings,
  fitCurves,
  flatten,
  roundedRing,
  signedArea,
  type Path,
  type Point,
} from './index.ts';

const nodes = (path: Path): number => path.filter(([kind]) => kind !== 'M' && kind !== 'Z').length;
const circle = (radius: number, count: number): Point[] =>
  Array.from({ length: count }, (_, at) => {
    const turn = (at / count) * 2 * Math.PI;
    return { x: radius * Math.cos(turn), y: radius * Math.sin(turn) };
  });

test('a computed circle is few cubics that keep to it', () => {
  const fitted = fitCurves([circle(20, 300)], { tolerance: 0.01, blur: 0 });
  expect(fitted.nodes).toBeLessThanOrEqual(10);
  expect(fitted.nodes).toBe(nodes(fitted.path));
  for (const { x, y } of flatten(fitted.path, 0.001).flat())
    expect(Math.abs(Math.hypot(x, y) - 20)).toBeLessThan(0.015);
});

test('a block with round corners is four lines and four bends', () => {
  const square = [
    { x: -20, y: -15 },
    { x: 20, y: -15 },
    { x: 20, y: 15 },
    { x: -20, y: 15 },
  ];
  const [ring = []] = flatten(roundedRing(square, 5), 0.002);
  const fitted = fitCurves([ring], { tolerance: 0.012, blur: 0 });
  expect(fitted.nodes).toBe(8);
  expect(fitted.path.filter(([kind]) => kind === 'L')).toHaveLength(4);
});

test('whatever the corners of an outline, they stay, and nothing leaves the tolerance', () => {
  const star = fc.array(fc.double({ min: 8, max: 30, noNaN: true }), {
    minLength: 3,
    maxLength: 14,
  });
  fc.assert(
    fc.property(star, (reaches) => {
      const ring = reaches.map((reach, at) => {
        const turn = (at / reaches.length) * 2 * Math.PI;
        return { x: reach * Math.cos(turn), y: reach * Math.sin(turn) };
      });
      const { path, deviation } = fitCurves([ring], { tolerance: 0.02, blur: 0 });
      expect(deviation).toBeLessThanOrEqual(0.02);
      const made = flatten(path, 0.001);
      for (const point of made.flat()) expect(distanceToRings(point, [ring])).toBeLessThan(0.022);
      for (const corner of ring) expect(distanceToRings(corner, made)).toBeLessThan(0.022);
    }),
    { numRuns: 60 },
  );
});

test('a bow stands as high over its chord as it says, on one circle, to its side', () => {
  for (const rise of [2, -6, 14]) {
    const steps = bow({ x: -10, y: 0 }, { x: 10, y: 0 }, rise);
    const points = flatten([['M', -10, 0], ...steps], 0.001).flat();
    // To the left of the way, which is up where y points down.
    const box = boxOf(points);
    expect(rise > 0 ? -(box?.top ?? 0) : (box?.bottom ?? 0)).toBeCloseTo(Math.abs(rise), 2);
    const radius = (100 + rise * rise) / (2 * Math.abs(rise));
    const centre = { x: 0, y: rise > 0 ? radius - rise : -radius - rise };
    for (const { x, y } of points)
      expect(Math.hypot(x - centre.x, y - centre.y)).toBeCloseTo(radius, 2);
  }
});

test('rounded corners take (4 − π)r² from a square, and no more than its sides allow', () => {
  const square = [
    { x: 0, y: 0 },
    { x: 40, y: 0 },
    { x: 40, y: 40 },
    { x: 0, y: 40 },
  ];
  const area = (radius: number): number =>
    signedArea(flatten(roundedRing(square, radius), 0.001)[0] ?? []);
  expect(area(5)).toBeCloseTo(1600 - (4 - Math.PI) * 25, 1);
  expect(area(500)).toBeCloseTo(Math.PI * 400, 0);
  expect(area(0)).toBeCloseTo(1600, 6);
});
