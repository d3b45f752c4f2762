import { placed } from '../geometry/index.ts';
import { edgeRings, placeEdge, shareLines, type EdgeShape, type SharedEdges } from './index.ts';

const at = (shape: EdgeShape, x: number, y: number, angle = 0) =>
  placeEdge(edgeRings(shape), placed(x, y, angle));
const plate = (width: number, height: number, radius = 0): EdgeShape => ({
  kind: 'rectangle',
  width,
  height,
  radius,
});
const lengthOf = ({ lines }: SharedEdges): number =>
  lines.reduce(
    (sum, { line }) =>
      sum +
      line.reduce(
        (all, ring) =>
          all +
          ring.reduce((way, point, index) => {
            const next = ring[index + 1] ?? point;
            return way + Math.hypot(next.x - point.x, next.y - point.y);
          }, 0),
        0,
      ),
    0,
  );

test('a grid of 3 by 2 rectangles without gaps is cut in 3 level and 4 upright lines', () => {
  const edges = [0, 1].flatMap((row) =>
    [0, 1, 2].map((column) => at(plate(40, 20), 20 + column * 40, 10 + row * 20)),
  );
  const shared = shareLines(edges);
  expect(shared.whole).toEqual([]);
  expect(shared.lines).toHaveLength(7);
  expect(lengthOf(shared)).toBeCloseTo(3 * 120 + 4 * 40, 6);
  const middle = shared.lines.find(({ of }) => of.length === 6);
  expect(middle?.line[0]?.map(({ y }) => y)).toEqual([20, 20]);
});

test('edges with a gap between them stay whole', () => {
  const shared = shareLines([at(plate(40, 20), 20, 10), at(plate(40, 20), 60.3, 10)]);
  expect(shared).toEqual({ lines: [], whole: [0, 1] });
});

test('round corners stay with their edge: only the straight line between is one', () => {
  const shared = shareLines([at(plate(40, 20, 5), 20, 10), at(plate(40, 20, 5), 60, 10)]);
  const once = shared.lines.filter(({ of }) => of.length === 2);
  expect(once.map(({ line }) => line[0])).toEqual([
    [
      { x: 40, y: 5 },
      { x: 40, y: 15 },
    ],
  ]);
  // Each edge is 80 mm of sides and a circle of radius 5; 10 mm of them are one line.
  expect(lengthOf(shared)).toBeCloseTo(2 * (80 + 10 * Math.PI) - 10, 1);
});

test('turned edges share too, and longer sides with parts of them', () => {
  const shared = shareLines([
    at(plate(40, 20), 50, 50, 30),
    at(plate(20, 20), 50 - 20 * Math.sin(Math.PI / 6), 50 + 20 * Math.cos(Math.PI / 6), 30),
    at({ kind: 'circle', diameter: 9 }, 150, 150),
  ]);
  expect(shared.whole).toEqual([2]);
  expect(lengthOf(shared)).toBeCloseTo(120 + 80 - 20, 3);
  expect(shared.lines.filter(({ of }) => of.length === 2)).toHaveLength(1);
});
