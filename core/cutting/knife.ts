import type { Point, Ring } from '../geometry/index.ts';
import type { CutKind } from '../shape/index.ts';

/** How hard and how fast a knife goes, and how often along each line. */
export interface KnifeSetting {
  /** Grams; null where the cutter's own stays. */
  readonly force: number | null;
  /** mm a second; null where the cutter's own stays. */
  readonly speed: number | null;
  readonly passes: number;
}

/** A knife that turns freely and trails behind its holder. */
export interface Knife {
  /** From the axis of the holder to the tip, mm; 0 where the cutter sees to that itself. */
  readonly offset: number;
  /** How far a ring is cut on past its start, mm. */
  readonly overcut: number;
  /** What the cutter is told for each kind of cut; its own settings stay unless given. */
  readonly settings?: Readonly<Partial<Record<CutKind, KnifeSetting | null>>>;
}

/** A cutter that takes lines as they are. */
export const PLAIN_KNIFE: Knife = { offset: 0, overcut: 0 };

const STEP = (12 * Math.PI) / 180; // of the arcs in which the knife is turned
const SMALL = (6 * Math.PI) / 180; // turns that a curve makes from point to point

const { atan2, ceil, cos, hypot, sin, PI } = Math;

/**
 * The way of the holder so that the tip follows a line: ahead of it by the offset, with an arc about
 * each corner in which the knife turns on its tip. The last point is the line's end; a ring returns to
 * its start and goes on by the overcut.
 */
export function knifeWay(line: Ring, open: boolean, { offset, overcut }: Knife): Point[] {
  const way = open ? [...line] : withOvercut(line, overcut);
  if (offset <= 0) return way;
  const holder: Point[] = [];
  let last: number | undefined;
  for (let at = 0; at + 1 < way.length; at++) {
    const [from, to] = [way[at] as Point, way[at + 1] as Point];
    if (hypot(to.x - from.x, to.y - from.y) < 1e-9) continue;
    const heading = atan2(to.y - from.y, to.x - from.x);
    if (last !== undefined) holder.push(...turnOnTip(from, last, heading, offset));
    else holder.push(ahead(from, heading, offset));
    holder.push(ahead(to, heading, offset));
    last = heading;
  }
  return holder;
}

const ahead = ({ x, y }: Point, heading: number, by: number): Point => ({
  x: x + by * cos(heading),
  y: y + by * sin(heading),
});

function turnOnTip(tip: Point, from: number, to: number, offset: number): Point[] {
  let turn = to - from;
  if (turn > PI) turn -= 2 * PI;
  if (turn < -PI) turn += 2 * PI;
  if (Math.abs(turn) < SMALL) return [];
  const steps = ceil(Math.abs(turn) / STEP);
  return Array.from({ length: steps }, (_, at) =>
    ahead(tip, from + (turn * (at + 1)) / steps, offset),
  );
}

/** A ring back to its start and on along its beginning. */
function withOvercut(ring: Ring, overcut: number): Point[] {
  const [start] = ring;
  if (!start) return [];
  const way: Point[] = [...ring, start];
  let left = overcut;
  for (let at = 0; left > 1e-9 && at < ring.length; at++) {
    const [from, to] = [ring[at] as Point, ring[(at + 1) % ring.length] as Point];
    const length = hypot(to.x - from.x, to.y - from.y);
    const share = length > 0 ? Math.min(1, left / length) : 1;
    way.push({ x: from.x + (to.x - from.x) * share, y: from.y + (to.y - from.y) * share });
    left -= length;
  }
  return way;
}
