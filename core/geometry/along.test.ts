import { dashesAlong, dotsAlong, ellipsePath, flatten, type Point } from './index.ts';

const circle = flatten(ellipsePath({ x: 0, y: 0 }, 10, 10), 0.001);
const line: readonly Point[][] = [
  [
    { x: 0, y: 0 },
    { x: 6, y: 0 },
    { x: 6, y: 4 },
  ],
];

test('dots around a circle stand at equal angles and come out even', () => {
  const dots = flatten(dotsAlong(circle, { step: 3, radius: 0.2, closed: true }));
  // 62.8 mm in steps of about 3 mm.
  expect(dots).toHaveLength(21);
  const angles = dots.map((dot) => {
    const [x, y] = [0, 1].map(
      (axis) => dot.reduce((sum, point) => sum + (axis ? point.y : point.x), 0) / dot.length,
    );
    return Math.atan2(y ?? 0, x ?? 0);
  });
  for (const [at, angle] of angles.entries()) {
    const next = angles[(at + 1) % angles.length] ?? 0;
    const turn = (next - angle + 4 * Math.PI) % (2 * Math.PI);
    expect(turn).toBeCloseTo((2 * Math.PI) / 21, 2);
  }
});

test('an open line has a dot at both ends', () => {
  const dots = flatten(dotsAlong(line, { step: 2.4, radius: 0.1, closed: false }));
  expect(dots).toHaveLength(5);
  expect(Math.hypot(dots[0]?.[0]?.x ?? 9, dots[0]?.[0]?.y ?? 9)).toBeCloseTo(0.1, 6);
  expect(Math.abs((dots[4]?.[0]?.y ?? 0) - 4)).toBeLessThan(0.11);
});

test('dashes follow corners, begin and end an open line, and share the rest', () => {
  const dashes = flatten(dashesAlong(line, { dash: 2, gap: 2, closed: false }));
  // 10 mm: three dashes and two gaps of 2 mm.
  expect(dashes).toHaveLength(3);
  expect(dashes[1]).toEqual([
    { x: 4, y: 0 },
    { x: 6, y: 0 },
  ]);
  expect(dashes[2]).toEqual([
    { x: 6, y: 2 },
    { x: 6, y: 4 },
  ]);
  const around = flatten(dashesAlong(circle, { dash: 4, gap: 3, closed: true }));
  expect(around).toHaveLength(9);
});
