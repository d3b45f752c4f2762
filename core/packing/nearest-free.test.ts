import { nearestFree } from './index.ts';

const outsideDisc = ({ x, y }: { x: number; y: number }): boolean => Math.hypot(x, y) >= 10;

test('a place that is free is kept', () => {
  expect(nearestFree({ x: 12, y: 0 }, outsideDisc, 50)).toEqual({ x: 12, y: 0 });
});

test.each([
  [3, 0],
  [2, 2],
  [-1, 6],
])('from inside a disc at %d, %d the way out is the shortest', (x, y) => {
  const at = nearestFree({ x, y }, outsideDisc, 50);
  const way = Math.hypot((at?.x ?? 0) - x, (at?.y ?? 0) - y);
  expect(Math.hypot(at?.x ?? 0, at?.y ?? 0)).toBeGreaterThanOrEqual(10);
  expect(way).toBeGreaterThanOrEqual(10 - Math.hypot(x, y) - 1e-9);
  expect(way).toBeLessThan(10 - Math.hypot(x, y) + 0.05);
});

test('nothing is found beyond the reach', () => {
  expect(nearestFree({ x: 0, y: 0 }, outsideDisc, 9.9)).toBeUndefined();
  expect(nearestFree({ x: 0, y: 0 }, outsideDisc, 10.1)).toBeDefined();
});
