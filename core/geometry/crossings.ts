import type { Point } from './affine.ts';
import { boxOf } from './box.ts';

const { ceil, floor, max, min, sqrt } = Math;

/** How many pairs of sides are compared at most; a plain outline needs a few for each of its sides. */
const MOST_PAIRS = 4_000_000;

/**
 * How often the sides of closed lines cross each other, counted up to `most`: what is not counted
 * within bounded work counts as that many. Source: sides in the cells of an even grid (W. R. Franklin,
 * 1989), laid in one after the other.
 */
export function countCrossings(rings: readonly (readonly Point[])[], most: number): number {
  const sides = rings.flatMap((ring) =>
    ring.map((from, at): readonly [Point, Point] => [from, ring[(at + 1) % ring.length] ?? from]),
  );
  const grid = new Grid(sides.flat(), sides.length);
  let [count, pairs] = [0, 0];
  for (const [at, side] of sides.entries()) {
    const seen = new Set<number>();
    grid.visit(side, (cell) => {
      for (const other of cell) {
        if (seen.has(other)) continue;
        seen.add(other);
        pairs++;
        if (cross(side, sides[other] as readonly [Point, Point])) count++;
      }
      cell.push(at);
    });
    if (count >= most || pairs >= MOST_PAIRS) return most;
  }
  return count;
}

const NOWHERE = { left: 0, top: 0, right: 0, bottom: 0 };

class Grid {
  private readonly cells = new Map<number, number[]>();
  private readonly across: number;
  private readonly size: number;
  private readonly left: number;
  private readonly top: number;

  constructor(points: readonly Point[], count: number) {
    const { left, top, right, bottom } = boxOf(points) ?? NOWHERE;
    this.across = max(1, ceil(sqrt(count)));
    this.size = max(right - left, bottom - top, 1e-9) / this.across;
    [this.left, this.top] = [left, top];
  }

  /** Goes through the cells of a side's box. */
  visit([from, to]: readonly [Point, Point], look: (cell: number[]) => void): void {
    const column = (x: number): number => min(this.across, floor((x - this.left) / this.size));
    const row = (y: number): number => min(this.across, floor((y - this.top) / this.size));
    for (let y = row(min(from.y, to.y)); y <= row(max(from.y, to.y)); y++)
      for (let x = column(min(from.x, to.x)); x <= column(max(from.x, to.x)); x++) {
        const key = y * (this.across + 1) + x;
        const cell = this.cells.get(key) ?? [];
        this.cells.set(key, cell);
        look(cell);
      }
  }
}

/** Whether two sides cross in their inner parts. */
function cross([a, b]: readonly [Point, Point], [c, d]: readonly [Point, Point]): boolean {
  const turn = (p: Point, q: Point, r: Point): number =>
    (q.x - p.x) * (r.y - p.y) - (q.y - p.y) * (r.x - p.x);
  return turn(a, b, c) * turn(a, b, d) < 0 && turn(c, d, a) * turn(c, d, b) < 0;
}
