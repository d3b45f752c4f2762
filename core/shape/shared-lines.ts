import { boxesMeet, boxOfRings, grown, type Point, type Ring } from '../geometry/index.ts';
import { edgePart, type EdgeRings } from './cut-line.ts';

const { abs, hypot, max, min } = Math;

/** A line that several edges have in common, or what is left of an edge beside such lines. */
export interface SharedLine {
  readonly line: EdgeRings;
  /** The edges that it belongs to, by their number. */
  readonly of: readonly number[];
}

/** Edges whose lines are cut once where they run along each other, and those that stay whole. */
export interface SharedEdges {
  readonly lines: readonly SharedLine[];
  /** Edges that share nothing, by their number. */
  readonly whole: readonly number[];
}

/** Lines nearer than that are one, mm. */
const ONE = 0.01;
/** Shorter sides are parts of a curve and are not shared, mm. */
const SHORTEST = 0.5;

/** A straight side of an edge along its supporting line: from one place on it to another, mm. */
interface Side {
  readonly edge: number;
  readonly ring: number;
  /** The point that it begins with. */
  readonly at: number;
  readonly from: number;
  readonly to: number;
}

/** A supporting line: a direction, its distance from the origin, and the sides on it. */
interface Support {
  readonly direction: Point;
  readonly away: number;
  readonly sides: Side[];
}

/**
 * Finds where edges run along each other and makes one line of what would be cut twice. Straight sides
 * that continue each other become one long line; what is left of an edge follows as open lines.
 */
export function shareLines(edges: readonly EdgeRings[]): SharedEdges {
  const supports = supportsOf(edges, touching(edges));
  const sharing = new Set(supports.flatMap(({ sides }) => doubled(sides)));
  const whole = [...edges.keys()].filter((edge) => !sharing.has(edge));
  if (sharing.size === 0) return { lines: [], whole };
  const lines: SharedLine[] = [];
  const lifted = new Set<string>();
  for (const { direction, away, sides } of supports) {
    const own = sides.filter(({ edge }) => sharing.has(edge));
    for (const run of runsOf(own)) {
      if (run.length < 2) continue;
      for (const side of run) lifted.add(nameOf(side));
      const at = (along: number): Point => ({
        x: direction.x * along - direction.y * away,
        y: direction.y * along + direction.x * away,
      });
      const from = min(...run.map((side) => side.from));
      const to = max(...run.map((side) => side.to));
      const of = [...new Set(run.map(({ edge }) => edge))].sort((one, other) => one - other);
      lines.push({ line: edgePart([at(from), at(to)]), of });
    }
  }
  for (const edge of sharing)
    for (const [ring, points] of (edges[edge] ?? []).entries())
      for (const line of restOf(points, (at) => lifted.has(nameOf({ edge, ring, at }))))
        lines.push({ line: edgePart(line), of: [edge] });
  return { lines, whole };
}

const nameOf = ({ edge, ring, at }: Pick<Side, 'edge' | 'ring' | 'at'>): string =>
  `${edge}/${ring}/${at}`;

/** The edges whose boxes meet another's: no other can share a line. */
function touching(edges: readonly EdgeRings[]): Set<number> {
  const order = edges
    .flatMap((rings, edge) => {
      const box = boxOfRings(rings);
      return box ? [[edge, grown(box, ONE)] as const] : [];
    })
    .sort(([, one], [, other]) => one.left - other.left);
  const found = new Set<number>();
  order.forEach(([edge, box], at) => {
    for (const [other, next] of order.slice(at + 1)) {
      if (next.left > box.right) return;
      if (boxesMeet(box, next)) found.add(edge).add(other);
    }
  });
  return found;
}

/** The lines that long straight sides of some edges lie on, each with all the sides on it in order. */
function supportsOf(edges: readonly EdgeRings[], some: ReadonlySet<number>): Support[] {
  const buckets = new Map<string, Support[]>();
  const supports: Support[] = [];
  edges.forEach((rings, edge) => {
    if (!some.has(edge)) return;
    rings.forEach((ring, number) => {
      ring.forEach((start, at) => {
        const end = ring[(at + 1) % ring.length] as Point;
        const length = hypot(end.x - start.x, end.y - start.y);
        if (length < SHORTEST) return;
        const direction = upright({ x: (end.x - start.x) / length, y: (end.y - start.y) / length });
        const support = supportOf(direction, [start, end], { buckets, supports });
        const along = ({ x, y }: Point): number =>
          x * support.direction.x + y * support.direction.y;
        const [one, other] = [along(start), along(end)];
        support.sides.push({
          edge,
          ring: number,
          at,
          from: min(one, other),
          to: max(one, other),
        });
      });
    });
  });
  for (const { sides } of supports) sides.sort((one, other) => one.from - other.from);
  return supports;
}

/** Of a direction and its opposite the one that points right, or down. */
const upright = ({ x, y }: Point): Point =>
  x > 1e-9 || (x > -1e-9 && y > 0) ? { x, y } : { x: -x, y: -y };

function supportOf(
  direction: Point,
  ends: readonly Point[],
  { buckets, supports }: { buckets: Map<string, Support[]>; supports: Support[] },
): Support {
  const across = ({ x, y }: Point, { direction: d }: { direction: Point }): number =>
    y * d.x - x * d.y;
  const away = ends.reduce((sum, end) => sum + across(end, { direction }), 0) / ends.length;
  const near = Math.round(away);
  const known = [near - 1, near, near + 1].flatMap((key) => buckets.get(String(key)) ?? []);
  const found = known.find(
    (support) =>
      abs(support.direction.x * direction.y - support.direction.y * direction.x) < 0.01 &&
      ends.every((end) => abs(across(end, support) - support.away) < ONE),
  );
  if (found) return found;
  const made: Support = { direction, away, sides: [] };
  supports.push(made);
  buckets.set(String(near), [...(buckets.get(String(near)) ?? []), made]);
  return made;
}

/** The edges of which two have a part of a line in common. */
function doubled(sides: readonly Side[]): number[] {
  return sides.flatMap((side, at) =>
    sides
      .slice(at + 1)
      .filter(
        (other) =>
          other.edge !== side.edge && min(side.to, other.to) - max(side.from, other.from) > ONE,
      )
      .flatMap((other) => [side.edge, other.edge]),
  );
}

/** Sides on one line, in order, that overlap or touch each other. */
function runsOf(sides: readonly Side[]): Side[][] {
  const runs: Side[][] = [];
  let end = -Infinity;
  for (const side of sides) {
    if (side.from > end + ONE) runs.push([]);
    runs[runs.length - 1]?.push(side);
    end = max(end, side.to);
  }
  return runs;
}

/** What is left of a ring without some of its sides: open lines. */
function restOf(ring: Ring, isLifted: (at: number) => boolean): Point[][] {
  const count = ring.length;
  const first = ring.findIndex((_, at) => isLifted(at));
  if (first < 0) return count ? [[...ring, ring[0] as Point]] : [];
  const rest: Point[][] = [];
  let line: Point[] = [];
  for (let step = 1; step <= count; step++) {
    const at = (first + step) % count;
    line.push(ring[at] as Point);
    if (!isLifted(at)) continue;
    if (line.length > 1) rest.push(line);
    line = [];
  }
  return rest;
}
