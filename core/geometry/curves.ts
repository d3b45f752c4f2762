import type { Point } from './affine.ts';
import { ClosedLine, computedCorners, hypot, seenCorners } from './corners.ts';
import type { Path, PathStep, Ring } from './path.ts';

const { abs, ceil, max, min, sqrt } = Math;

/** How a ring of points becomes curves. */
export interface CurveFit {
  /** How far the curves may leave the points, mm. */
  readonly tolerance: number;
  /**
   * How far apart the ring's points are from being exact, mm: the side of a pixel for rings that
   * were followed in a picture, nothing for rings that were computed. Corners are looked for, and
   * made sharp again, at this scale.
   */
  readonly blur: number;
}

/** Curves, with how far they leave the points they were fitted to and how many nodes they have. */
export interface FittedCurves {
  readonly path: Path;
  /** mm */
  readonly deviation: number;
  readonly nodes: number;
}

/**
 * Closed rings as few lines and cubic curves that stay within a tolerance, with their corners kept.
 *
 * Source: P. J. Schneider, “An algorithm for automatically fitting digitized curves” (1990), between
 * corners. A corner is where the direction turns much within a short way, and no more within twice
 * the way: a bend turns twice as much there.
 */
export function fitCurves(rings: readonly Ring[], fit: CurveFit): FittedCurves {
  const fitted = rings.filter((ring) => ring.length > 2).map((ring) => fitRing(ring, fit));
  return {
    path: fitted.flatMap(({ path }) => path),
    deviation: fitted.reduce((worst, { deviation }) => max(worst, deviation), 0),
    nodes: fitted.reduce((sum, { nodes }) => sum + nodes, 0),
  };
}

function fitRing(given: Ring, { tolerance, blur }: CurveFit): FittedCurves {
  const ring = blur > 0 ? given : withoutSplinters(given, 0.4 * tolerance);
  const line = new ClosedLine(ring);
  const corners = blur > 0 ? seenCorners(line, blur) : computedCorners(ring, tolerance);
  // What was seen in pixels wavers by a tenth of one: to follow that closer gives nodes for nothing.
  const curves = new Curves({ blur, tolerance: max(tolerance, 0.15 * blur) });
  if (corners.length === 0) {
    const loop = steadied(line.from(0), { loop: true, blur });
    curves.addLoop(loop);
  } else {
    corners.forEach((corner, index) => {
      const next = corners[(index + 1) % corners.length] ?? corner;
      const points = [corner.at, ...line.between(corner, next), next.at];
      curves.add(steadied(points, { loop: false, blur }));
    });
  }
  return curves.result();
}

/** A ring without sides so short that their direction means nothing. */
function withoutSplinters(ring: Ring, least: number): Ring {
  const kept: Point[] = [];
  for (const at of ring) {
    const last = kept[kept.length - 1];
    if (!last || hypot(at.x - last.x, at.y - last.y) >= least) kept.push(at);
  }
  return kept.length > 2 ? kept : ring;
}

const STEADY_ROUNDS = 3;

/** Points that were seen in pixels without most of their wavering; the ends of a stretch stay. */
function steadied(
  points: readonly Point[],
  { loop, blur }: { loop: boolean; blur: number },
): readonly Point[] {
  if (blur === 0 || points.length < 8) return points;
  let now = points;
  for (let round = 0; round < STEADY_ROUNDS; round++) {
    const before = now;
    const last = before.length - 1;
    now = before.map((here, at) => {
      const end = at === 0 || at === last;
      if (end && !loop) return here;
      const one = before[at === 0 ? last - 1 : at - 1] as Point;
      const other = before[at === last ? 1 : at + 1] as Point;
      return { x: (one.x + 2 * here.x + other.x) / 4, y: (one.y + 2 * here.y + other.y) / 4 };
    });
  }
  return now;
}

type Cubic = readonly [Point, Point, Point, Point];

/** Fits one stretch of points after the other and gathers the steps. */
class Curves {
  private readonly steps: PathStep[] = [];
  private readonly fit: CurveFit;
  private worst = 0;

  constructor(fit: CurveFit) {
    this.fit = fit;
  }

  /** A stretch from corner to corner; both ends are kept exactly. */
  add(points: readonly Point[]): void {
    const first = points[0] as Point;
    if (this.steps.length === 0) this.steps.push(['M', first.x, first.y]);
    const line = filled(points, this.fit);
    this.stretch(line, this.tangent(line, 0, 1), this.tangent(line, line.length - 1, -1));
  }

  /** A ring without a corner: it begins and ends in the same direction. */
  addLoop(points: readonly Point[]): void {
    const first = points[0] as Point;
    this.steps.push(['M', first.x, first.y]);
    const line = filled(points, this.fit);
    const after = this.tangent(line, 0, 1);
    const before = this.tangent(line, line.length - 1, -1);
    const middle = unit({ x: after.x - before.x, y: after.y - before.y }) ?? after;
    this.stretch(line, middle, { x: -middle.x, y: -middle.y });
  }

  result(): FittedCurves {
    return {
      path: [...this.steps, ['Z']],
      deviation: this.worst,
      nodes: this.steps.length - 1,
    };
  }

  /** The direction that a line sets off in from one of its points, from the bend of what follows. */
  private tangent(line: readonly Point[], from: number, step: 1 | -1): Point {
    const start = line[from] as Point;
    const reach = max(3 * this.fit.blur, 25 * this.fit.tolerance);
    const near = this.reached(line, from, step, reach);
    const far = this.reached(line, near, step, reach);
    const [one, two] = [line[near] as Point, line[far] as Point];
    const h1 = hypot(one.x - start.x, one.y - start.y);
    const h2 = hypot(two.x - one.x, two.y - one.y);
    if (h1 === 0) return { x: step, y: 0 };
    const first = { x: (one.x - start.x) / h1, y: (one.y - start.y) / h1 };
    if (h2 === 0) return first;
    const bend = h1 / (h1 + h2);
    return (
      unit({
        x: first.x + (first.x - (two.x - one.x) / h2) * bend,
        y: first.y + (first.y - (two.y - one.y) / h2) * bend,
      }) ?? first
    );
  }

  /** The first point along a line that is at least so far away. */
  private reached(line: readonly Point[], from: number, step: 1 | -1, reach: number): number {
    const start = line[from] as Point;
    let at = from;
    while (at + step >= 0 && at + step < line.length) {
      at += step;
      const { x, y } = line[at] as Point;
      if (hypot(x - start.x, y - start.y) >= reach) break;
    }
    return at;
  }

  private stretch(line: readonly Point[], from: Point, to: Point): void {
    const straight = straightness(line);
    const last = line[line.length - 1] as Point;
    if (straight <= 0.8 * this.fit.tolerance) {
      this.worst = max(this.worst, straight);
      this.steps.push(['L', last.x, last.y]);
      return;
    }
    let shares = chordShares(line);
    let curve = cubicThrough(line, shares, { from, to });
    let far = farthest(line, shares, curve);
    for (let round = 0; round < 6 && far.by > this.fit.tolerance; round++) {
      if (far.by > 6 * this.fit.tolerance) break;
      shares = refined(line, shares, curve);
      curve = cubicThrough(line, shares, { from, to });
      far = farthest(line, shares, curve);
    }
    if (far.by <= this.fit.tolerance || line.length < 5) {
      this.worst = max(this.worst, far.by);
      const [, one, two, end] = curve;
      this.steps.push(['C', one.x, one.y, two.x, two.y, end.x, end.y]);
      return;
    }
    const half = shares.findIndex((share) => share >= 0.5);
    const split = min(line.length - 3, max(2, half));
    const before = this.tangent(line, split, -1);
    const after = this.tangent(line, split, 1);
    const through = unit({ x: after.x - before.x, y: after.y - before.y }) ?? after;
    this.stretch(line.slice(0, split + 1), from, { x: -through.x, y: -through.y });
    this.stretch(line.slice(split), through, to);
  }
}

/** The points with more between those that lie far apart, so that a curve cannot bulge there. */
function filled(points: readonly Point[], { tolerance, blur }: CurveFit): readonly Point[] {
  const longest = max(24 * tolerance, 4 * blur);
  const made: Point[] = [];
  for (let at = 0; at < points.length; at++) {
    const here = points[at] as Point;
    made.push(here);
    const next = points[at + 1];
    if (!next) break;
    const parts = min(64, ceil(hypot(next.x - here.x, next.y - here.y) / longest));
    for (let part = 1; part < parts; part++) {
      const share = part / parts;
      made.push({ x: here.x + share * (next.x - here.x), y: here.y + share * (next.y - here.y) });
    }
  }
  return made;
}

function unit({ x, y }: Point): Point | undefined {
  const length = hypot(x, y);
  return length < 1e-12 ? undefined : { x: x / length, y: y / length };
}

/** How far the points of a line leave the straight line between its ends. */
function straightness(line: readonly Point[]): number {
  const first = line[0] as Point;
  const last = line[line.length - 1] as Point;
  const dx = last.x - first.x;
  const dy = last.y - first.y;
  const length = hypot(dx, dy);
  let worst = 0;
  for (const { x, y } of line) {
    const away =
      length < 1e-12
        ? hypot(x - first.x, y - first.y)
        : abs(dx * (y - first.y) - dy * (x - first.x)) / length;
    if (away > worst) worst = away;
  }
  return worst;
}

function chordShares(line: readonly Point[]): Float64Array {
  const shares = new Float64Array(line.length);
  for (let at = 1; at < line.length; at++) {
    const here = line[at] as Point;
    const before = line[at - 1] as Point;
    shares[at] = (shares[at - 1] as number) + hypot(here.x - before.x, here.y - before.y);
  }
  const whole = (shares[line.length - 1] as number) || 1;
  for (let at = 0; at < line.length; at++) shares[at] = (shares[at] as number) / whole;
  return shares;
}

/** The cubic with given ends and directions that lies closest to the points, by least squares. */
function cubicThrough(
  line: readonly Point[],
  shares: Float64Array,
  { from, to }: { from: Point; to: Point },
): Cubic {
  const first = line[0] as Point;
  const last = line[line.length - 1] as Point;
  const dot = from.x * to.x + from.y * to.y;
  let [c00, c01, c11, x0, x1] = [0, 0, 0, 0, 0];
  for (let at = 0; at < line.length; at++) {
    const t = shares[at] as number;
    const s = 1 - t;
    const b1 = 3 * t * s * s;
    const b2 = 3 * t * t * s;
    const w0 = s * s * s + b1;
    const w3 = t * t * t + b2;
    const point = line[at] as Point;
    const dx = point.x - first.x * w0 - last.x * w3;
    const dy = point.y - first.y * w0 - last.y * w3;
    c00 += b1 * b1;
    c01 += b1 * b2 * dot;
    c11 += b2 * b2;
    x0 += b1 * (from.x * dx + from.y * dy);
    x1 += b2 * (to.x * dx + to.y * dy);
  }
  const det = c00 * c11 - c01 * c01;
  const chord = hypot(last.x - first.x, last.y - first.y);
  let a = det === 0 ? 0 : (x0 * c11 - x1 * c01) / det;
  let b = det === 0 ? 0 : (c00 * x1 - c01 * x0) / det;
  const least = 1e-6 * chord;
  if (!(a > least && a < 2 * chord) || !(b > least && b < 2 * chord)) {
    a = chord / 3;
    b = chord / 3;
  }
  return [
    first,
    { x: first.x + from.x * a, y: first.y + from.y * a },
    { x: last.x + to.x * b, y: last.y + to.y * b },
    last,
  ];
}

function farthest(
  line: readonly Point[],
  shares: Float64Array,
  [p0, p1, p2, p3]: Cubic,
): { at: number; by: number } {
  let worst = 0;
  let found = line.length >> 1;
  for (let at = 1; at < line.length - 1; at++) {
    const t = shares[at] as number;
    const s = 1 - t;
    const w0 = s * s * s;
    const w1 = 3 * s * s * t;
    const w2 = 3 * s * t * t;
    const w3 = t * t * t;
    const point = line[at] as Point;
    const dx = w0 * p0.x + w1 * p1.x + w2 * p2.x + w3 * p3.x - point.x;
    const dy = w0 * p0.y + w1 * p1.y + w2 * p2.y + w3 * p3.y - point.y;
    const away = dx * dx + dy * dy;
    if (away > worst) {
      worst = away;
      found = at;
    }
  }
  return { at: found, by: sqrt(worst) };
}

/** Shares at which the curve is closer to each point: one step of Newton's method. */
function refined(
  line: readonly Point[],
  shares: Float64Array,
  [p0, p1, p2, p3]: Cubic,
): Float64Array {
  const better = new Float64Array(shares.length);
  better[shares.length - 1] = 1;
  for (let at = 1; at < line.length - 1; at++) {
    const t = shares[at] as number;
    const s = 1 - t;
    const point = line[at] as Point;
    const w0 = s * s * s;
    const w1 = 3 * s * s * t;
    const w2 = 3 * s * t * t;
    const w3 = t * t * t;
    const dx = w0 * p0.x + w1 * p1.x + w2 * p2.x + w3 * p3.x - point.x;
    const dy = w0 * p0.y + w1 * p1.y + w2 * p2.y + w3 * p3.y - point.y;
    const v0 = 3 * s * s;
    const v1 = 6 * s * t;
    const v2 = 3 * t * t;
    const vx = v0 * (p1.x - p0.x) + v1 * (p2.x - p1.x) + v2 * (p3.x - p2.x);
    const vy = v0 * (p1.y - p0.y) + v1 * (p2.y - p1.y) + v2 * (p3.y - p2.y);
    const ax = 6 * s * (p2.x - 2 * p1.x + p0.x) + 6 * t * (p3.x - 2 * p2.x + p1.x);
    const ay = 6 * s * (p2.y - 2 * p1.y + p0.y) + 6 * t * (p3.y - 2 * p2.y + p1.y);
    const slope = vx * vx + vy * vy + dx * ax + dy * ay;
    const moved = slope === 0 ? t : t - (dx * vx + dy * vy) / slope;
    better[at] = min(1, max(better[at - 1] as number, moved));
  }
  return better;
}
