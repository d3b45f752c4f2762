import type { Ring } from '../geometry/index.ts';
import { distanceOfRings, findLayoutViolations } from './index.ts';

const square = (x: number, y: number, side = 10): Ring => [
  { x, y },
  { x: x + side, y },
  { x: x + side, y: y + side },
  { x, y: y + side },
];
const plus: Ring = [
  [-1, -9],
  [1, -9],
  [1, 9],
  [-1, 9],
].map(([x = 0, y = 0]) => ({ x, y }));

test('the distance of outlines is that of their nearest places, and 0 where they cover each other', () => {
  expect(distanceOfRings(square(0, 0), square(13, 14))).toBeCloseTo(5, 9);
  expect(distanceOfRings(square(0, 0), square(2, 2, 3))).toBe(0);
  const lying = plus.map(({ x, y }) => ({ x: y, y: x }));
  expect(distanceOfRings(plus, lying)).toBe(0); // no corner of one lies in the other
});

test('faults name what leaves the sheet, lies on what is taken, or is too near', () => {
  const rings = [square(0, 0), square(11, 0), square(30, 30), square(95, 50), square(30.5, 45)];
  const faults = findLayoutViolations(rings, {
    area: { left: 0, top: 0, right: 100, bottom: 100 },
    taken: [{ left: 39, top: 39, right: 41, bottom: 41 }],
    gap: 2,
  });
  expect(faults.outside).toEqual([3]);
  expect(faults.onTaken).toEqual([2]);
  expect(faults.near).toEqual([{ pair: [0, 1], distance: 1 }]);
});

test('without a gap outlines may touch but not cover each other', () => {
  const room = { area: { left: 0, top: 0, right: 30, bottom: 10 }, taken: [], gap: 0 };
  expect(findLayoutViolations([square(0, 0), square(10, 0)], room).near).toEqual([]);
  expect(findLayoutViolations([square(0, 0), square(9.9, 0)], room).near).toHaveLength(1);
});
