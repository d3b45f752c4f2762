import type { Point } from './affine.ts';
import type { Ring } from './path.ts';

const { abs, acos, max, min, sqrt } = Math;

/** Math.hypot guards against overflow, which lengths in mm never come near, and is much slower. */
export const hypot = (x: number, y: number): number => sqrt(x * x + y * y);

/** A computed ring turns at a corner by more than this; what bends less is part of a curve. */
const COMPUTED_CORNER = 0.35; // radians
const SEEN_CORNER = 0.45;

/** A place at which a ring is taken apart into stretches. */
export interface Corner {
  readonly at: Point;
  /** Which of the ring's points it was seen at. */
  readonly index: number;
  /** The first and last of the ring's points that the corner stands for, from 0. */
  readonly first: number;
  readonly last: number;
}

/** A ring with the way along it. */
export class ClosedLine {
  readonly points: Ring;
  /** The way from the first point to each; one more for the whole. */
  readonly way: Float64Array;

  constructor(points: Ring) {
    this.points = points;
    this.way = new Float64Array(points.length + 1);
    for (let at = 0; at < points.length; at++) {
      const here = points[at] as Point;
      const next = points[(at + 1) % points.length] as Point;
      this.way[at + 1] = (this.way[at] as number) + hypot(next.x - here.x, next.y - here.y);
    }
  }

  get length(): number {
    return this.way[this.points.length] as number;
  }

  /** The index of the point that lies at least `way` further (or back) from a point. */
  walked(from: number, way: number): number {
    const count = this.points.length;
    const step = way > 0 ? 1 : -1;
    let at = from;
    let gone = 0;
    for (let steps = 0; steps < count && gone < abs(way); steps++) {
      const next = (at + step + count) % count;
      const low = step > 0 ? at : next;
      gone += (this.way[low + 1] as number) - (this.way[low] as number);
      at = next;
    }
    return at;
  }

  /** All points from one on, round to itself. */
  from(start: number): Point[] {
    const count = this.points.length;
    return Array.from({ length: count + 1 }, (_, at) => this.points[(start + at) % count] as Point);
  }

  /** The points after one corner and before another. */
  between(one: Corner, other: Corner): Point[] {
    const count = this.points.length;
    const whole = (other.index - one.index + count) % count || count;
    const steps = (other.first - one.last + count) % count || (whole === count ? count : 0);
    // Corners so close that they stand for the same points have none between them.
    if (steps > whole) return [];
    return Array.from(
      { length: Math.max(0, steps - 1) },
      (_, at) => this.points[(one.last + 1 + at) % count] as Point,
    );
  }
}

/** By how much a line turns at a place, from one point over it to another, radians. */
function turn(before: Point, at: Point, after: Point): number {
  const ax = at.x - before.x;
  const ay = at.y - before.y;
  const bx = after.x - at.x;
  const by = after.y - at.y;
  const long = sqrt((ax * ax + ay * ay) * (bx * bx + by * by));
  return long === 0 ? 0 : acos(max(-1, min(1, (ax * bx + ay * by) / long)));
}

/**
 * The corners of a computed ring, and where straight sides begin and end. A side is straight, and no
 * chord of a curve, when a curve through its ends would have left it by more than the tolerance.
 */
export function computedCorners(ring: Ring, tolerance: number): Corner[] {
  const count = ring.length;
  const turns = ring.map((here, at) =>
    turn(ring[(at + count - 1) % count] as Point, here, ring[(at + 1) % count] as Point),
  );
  const isKnot = turns.map((by) => by > COMPUTED_CORNER);
  const straight: number[] = [];
  for (let at = 0; at < count; at++) {
    const next = (at + 1) % count;
    const [from, to] = [ring[at] as Point, ring[next] as Point];
    const bend = max(...[at, next].map((end) => (isKnot[end] ? 0 : (turns[end] as number))));
    if ((hypot(to.x - from.x, to.y - from.y) * bend) / 8 > 1.5 * tolerance) straight.push(at, next);
  }
  straight.forEach((at) => (isKnot[at] = true));
  return ring.flatMap((at, index) =>
    isKnot[index] ? [{ at, index, first: index, last: index }] : [],
  );
}

/** Corners of a ring that was followed in pixels, which round every corner off by about one. */
export function seenCorners(line: ClosedLine, blur: number): Corner[] {
  const { points } = line;
  const near = 2.2 * blur;
  if (line.length < 8 * near) return [];
  const turns = new Float64Array(points.length);
  for (let at = 0; at < points.length; at++) {
    const here = points[at] as Point;
    const short = turn(
      points[line.walked(at, -near)] as Point,
      here,
      points[line.walked(at, near)] as Point,
    );
    if (short < SEEN_CORNER) continue;
    const long = turn(
      points[line.walked(at, -2 * near)] as Point,
      here,
      points[line.walked(at, 2 * near)] as Point,
    );
    if (short > 0.72 * long) turns[at] = short;
  }
  const corners: Corner[] = [];
  for (let at = 0; at < points.length; at++) {
    if (turns[at] === 0 || !isPeak(line, turns, at, 1.5 * near)) continue;
    corners.push({
      at: sharpened(line, at, blur),
      index: at,
      first: line.walked(at, -1.3 * blur),
      last: line.walked(at, 1.3 * blur),
    });
  }
  return corners;
}

function isPeak(line: ClosedLine, turns: Float64Array, at: number, reach: number): boolean {
  const own = turns[at] as number;
  const count = turns.length;
  const end = line.walked(at, reach);
  for (let other = line.walked(at, -reach); other !== end; other = (other + 1) % count) {
    const value = turns[other] as number;
    if (value > own || (value === own && other < at)) return false;
  }
  return true;
}

/** Where the lines before and after a corner meet, if that is close to where it was seen. */
function sharpened(line: ClosedLine, at: number, blur: number): Point {
  const here = line.points[at] as Point;
  const before = lineThrough(line, line.walked(at, -4 * blur), line.walked(at, -1.2 * blur));
  const after = lineThrough(line, line.walked(at, 1.2 * blur), line.walked(at, 4 * blur));
  const cross = before.dx * after.dy - before.dy * after.dx;
  if (abs(cross) < 0.2) return here;
  const along = ((after.x - before.x) * after.dy - (after.y - before.y) * after.dx) / cross;
  const met = { x: before.x + along * before.dx, y: before.y + along * before.dy };
  return hypot(met.x - here.x, met.y - here.y) < 1.6 * blur ? met : here;
}

interface Straight {
  readonly x: number;
  readonly y: number;
  readonly dx: number;
  readonly dy: number;
}

/** The line that lies closest to the points from one to another, by least squares. */
function lineThrough({ points }: ClosedLine, first: number, last: number): Straight {
  const count = points.length;
  let n = 0;
  let [x, y, xx, xy, yy] = [0, 0, 0, 0, 0];
  for (let at = first; ; at = (at + 1) % count) {
    const point = points[at] as Point;
    n++;
    x += point.x;
    y += point.y;
    if (at === last) break;
  }
  x /= n;
  y /= n;
  for (let at = first; ; at = (at + 1) % count) {
    const point = points[at] as Point;
    xx += (point.x - x) * (point.x - x);
    xy += (point.x - x) * (point.y - y);
    yy += (point.y - y) * (point.y - y);
    if (at === last) break;
  }
  const angle = Math.atan2(2 * xy, xx - yy) / 2;
  return { x, y, dx: Math.cos(angle), dy: Math.sin(angle) };
}
