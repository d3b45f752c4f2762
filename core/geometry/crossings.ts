import Flatbush from 'flatbush';
import type { Point } from './affine.ts';

const { max, min } = Math;

/** How many pairs of sides are compared at most; a plain outline needs a few for each of its sides. */
const MOST_PAIRS = 4_000_000;

/**
 * How often the sides of closed lines cross each other, counted up to `most`: what is not counted
 * within bounded work counts as that many. Each side is held against those whose boxes meet its own.
 */
export function countCrossings(rings: readonly (readonly Point[])[], most: number): number {
  const sides = rings.flatMap((ring) =>
    ring.map((from, at): readonly [Point, Point] => [from, ring[(at + 1) % ring.length] ?? from]),
  );
  if (sides.length === 0) return 0;
  const boxes = new Flatbush(sides.length);
  for (const side of sides) boxes.add(...boxOfSide(side));
  boxes.finish();
  let [count, pairs] = [0, 0];
  for (const [at, side] of sides.entries()) {
    boxes.search(...boxOfSide(side), (other) => {
      if (other >= at) return false;
      pairs++;
      if (cross(side, sides[other] as readonly [Point, Point])) count++;
      return false;
    });
    if (count >= most || pairs >= MOST_PAIRS) return most;
  }
  return count;
}

const boxOfSide = ([from, to]: readonly [Point, Point]): [number, number, number, number] => [
  min(from.x, to.x),
  min(from.y, to.y),
  max(from.x, to.x),
  max(from.y, to.y),
];

/** Whether two sides cross in their inner parts. */
function cross([a, b]: readonly [Point, Point], [c, d]: readonly [Point, Point]): boolean {
  const turn = (p: Point, q: Point, r: Point): number =>
    (q.x - p.x) * (r.y - p.y) - (q.y - p.y) * (r.x - p.x);
  return turn(a, b, c) * turn(a, b, d) < 0 && turn(c, d, a) * turn(c, d, b) < 0;
}
