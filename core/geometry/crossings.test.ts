import { seededRandom } from '../base/index.ts';
import { countCrossings, ellipsePath, flatten, type Point } from './index.ts';

const star = (points: number, step: number): Point[] =>
  Array.from({ length: points }, (_, at) => {
    const turn = (2 * Math.PI * at * step) / points;
    return { x: Math.cos(turn) * 50, y: Math.sin(turn) * 50 };
  });

test('a star crosses itself as often as it must, a circle and its hole never', () => {
  // {n/k} star polygons have n(k − 1) crossings.
  expect(countCrossings([star(5, 2)], 1000)).toBe(5);
  expect(countCrossings([star(9, 4)], 1000)).toBe(27);
  const circles = [30, 20].map((r) => flatten(ellipsePath({ x: 0, y: 0 }, r, r), 0.0001)[0] ?? []);
  expect(circles[0]?.length).toBeGreaterThan(500);
  expect(countCrossings(circles, 1000)).toBe(0);
});

test('ten thousand tangled points are given up at once', () => {
  const random = seededRandom(3);
  const tangle = Array.from({ length: 9999 }, () => ({
    x: random.next() * 200,
    y: random.next() * 200,
  }));
  expect(countCrossings([tangle], 2000)).toBe(2000);
});

test('a line that lies fifty thousand times upon itself is told within bounded work', () => {
  const band = Array.from({ length: 50_000 }, (_, at) => ({ x: (at % 2) * 200, y: at * 1e-9 }));
  expect(countCrossings([band], 2000)).toBe(2000);
});

test('nothing has no crossings', () => {
  expect([
    countCrossings([], 5),
    countCrossings([[]], 5),
    countCrossings([[{ x: 1, y: 1 }]], 5),
  ]).toEqual([0, 0, 0]);
});
