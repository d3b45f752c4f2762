import svgpath from 'svgpath';
import { apply, type Affine, type Point } from './affine.ts';

/** One step of a path: move, line, cubic curve or close; coordinates in mm. */
export type PathStep =
  | readonly ['M', number, number]
  | readonly ['L', number, number]
  | readonly ['C', number, number, number, number, number, number]
  | readonly ['Z'];

/** A path of one or more lines, in drawing order. */
export type Path = readonly PathStep[];

/** A closed line of points; the last joins the first and is not repeated. */
export type Ring = readonly Point[];

/** How far a quarter circle's handles stand from its ends, as a share of the radius. */
export const KAPPA = 0.5522847498307936;

/**
 * The path of an ellipse about a centre, from its rightmost point clockwise. Eight curves leave the true
 * line by 4 millionths of the radius at most, four by 3 in ten thousand.
 *
 * Source: handles of 4/3·tan(θ/4) of the radius for an arc of θ.
 */
export function ellipsePath(
  { x, y }: Point,
  radiusX: number,
  radiusY: number,
  curves: 4 | 8 = 8,
): Path {
  const step = (2 * Math.PI) / curves;
  const handle = (4 / 3) * Math.tan(step / 4);
  const at = (index: number): { c: number; s: number } => {
    const turn = (index % curves) * step;
    return { c: unit(Math.cos(turn)), s: unit(Math.sin(turn)) };
  };
  const steps = Array.from({ length: curves }, (_, index): PathStep => {
    const [from, to] = [at(index), at(index + 1)];
    return [
      'C',
      x + radiusX * (from.c - handle * from.s),
      y + radiusY * (from.s + handle * from.c),
      x + radiusX * (to.c + handle * to.s),
      y + radiusY * (to.s - handle * to.c),
      x + radiusX * to.c,
      y + radiusY * to.s,
    ];
  });
  return [['M', x + radiusX, y], ...steps, ['Z']];
}

/** A sine or cosine that is 0 where it should be. */
const unit = (value: number): number => (Math.abs(value) < 1e-12 ? 0 : value);

/** The path of an upright rectangle about a centre; `radius` rounds its corners. */
export function rectanglePath(centre: Point, width: number, height: number, radius = 0): Path {
  const left = centre.x - width / 2;
  const top = centre.y - height / 2;
  const right = left + width;
  const bottom = top + height;
  const r = Math.min(radius, width / 2, height / 2);
  if (r <= 0) {
    return [['M', left, top], ['L', right, top], ['L', right, bottom], ['L', left, bottom], ['Z']];
  }
  const k = r * (1 - KAPPA);
  return [
    ['M', left + r, top],
    ['L', right - r, top],
    ['C', right - k, top, right, top + k, right, top + r],
    ['L', right, bottom - r],
    ['C', right, bottom - k, right - k, bottom, right - r, bottom],
    ['L', left + r, bottom],
    ['C', left + k, bottom, left, bottom - k, left, bottom - r],
    ['L', left, top + r],
    ['C', left, top + k, left + k, top, left + r, top],
    ['Z'],
  ];
}

/** The path of closed rings. */
export function ringsPath(rings: readonly Ring[]): Path {
  return rings.flatMap((ring): PathStep[] => [
    ...ring.map(({ x, y }, index): PathStep => [index === 0 ? 'M' : 'L', x, y]),
    ['Z'],
  ]);
}

/** The path of lines that stay open. */
export function linesPath(lines: readonly (readonly Point[])[]): Path {
  return lines.flatMap((line) =>
    line.map(({ x, y }, at): PathStep => [at === 0 ? 'M' : 'L', x, y]),
  );
}

/** The path under a map. */
export function mapPath(path: Path, map: Affine): Path {
  const at = (x: number, y: number): Point => apply(map, { x, y });
  return path.map((step): PathStep => {
    if (step[0] === 'Z') return step;
    if (step[0] === 'C') {
      const one = at(step[1], step[2]);
      const two = at(step[3], step[4]);
      const end = at(step[5], step[6]);
      return ['C', one.x, one.y, two.x, two.y, end.x, end.y];
    }
    const end = at(step[1], step[2]);
    return [step[0], end.x, end.y];
  });
}

/** The ring under a map. */
export function mapRing(ring: Ring, map: Affine): Ring {
  return ring.map((point) => apply(map, point));
}

/** Reads SVG path data of any kind into moves, lines and cubic curves; undefined when it is broken. */
export function findPath(data: string): Path | undefined {
  const read = svgpath(data);
  const failure = (read as unknown as { err?: string }).err;
  if (failure) return undefined;
  const steps: PathStep[] = [];
  let start: PathStep = ['M', 0, 0];
  read
    .abs()
    .unshort()
    .unarc()
    .iterate((segment, _index, x, y) => {
      const step = pathStep(segment as readonly (string | number)[], x, y);
      if (!step) return;
      if (step[0] === 'M') start = step;
      // What goes on after a close begins where that line began.
      else if (step[0] !== 'Z' && steps[steps.length - 1]?.[0] === 'Z') steps.push(start);
      steps.push(step);
    });
  return steps;
}

function pathStep(
  segment: readonly (string | number)[],
  x: number,
  y: number,
): PathStep | undefined {
  const n = (index: number): number => Number(segment[index]);
  switch (segment[0]) {
    case 'M':
      return ['M', n(1), n(2)];
    case 'L':
      return ['L', n(1), n(2)];
    case 'H':
      return ['L', n(1), y];
    case 'V':
      return ['L', x, n(1)];
    case 'C':
      return ['C', n(1), n(2), n(3), n(4), n(5), n(6)];
    case 'Q': {
      const third = (from: number, to: number): number => from + ((to - from) * 2) / 3;
      return [
        'C',
        third(x, n(1)),
        third(y, n(2)),
        third(n(3), n(1)),
        third(n(4), n(2)),
        n(3),
        n(4),
      ];
    }
    case 'Z':
    case 'z':
      return ['Z'];
    default:
      return undefined;
  }
}

/** SVG path data as it is drawn from wherever the pen stands, which is its (0, 0). */
export function dataFromPen(data: string): string {
  // Taken for a whole path, its first step would be kept absolute.
  return svgpath(data).rel().round(4).toString().replace(/^M/, 'm');
}

/**
 * The rings of a path, with curves as lines that leave the curve by at most `tolerance` mm. Lines
 * that were not closed are closed.
 *
 * Source: the chord error of a curve is at most 1/8 of its second derivative over the step, and a
 * cubic's second derivative is at most 6 times the largest second difference of its handles.
 */
export function flatten(path: Path, tolerance = 0.01): Ring[] {
  const rings: Point[][] = [];
  let ring: Point[] = [];
  for (const step of path) {
    if (step[0] === 'M') {
      ring = [{ x: step[1], y: step[2] }];
      rings.push(ring);
    } else if (step[0] === 'L') {
      ring.push({ x: step[1], y: step[2] });
    } else if (step[0] === 'C') {
      addCurve(ring, step, tolerance);
    }
  }
  return rings.map(withoutRepeats).filter((found) => found.length > 1);
}

function addCurve(
  ring: Point[],
  [, x1, y1, x2, y2, x3, y3]: readonly ['C', number, number, number, number, number, number],
  tolerance: number,
): void {
  const { x: x0, y: y0 } = ring[ring.length - 1] ?? { x: x1, y: y1 };
  const bend = Math.max(
    Math.hypot(x0 - 2 * x1 + x2, y0 - 2 * y1 + y2),
    Math.hypot(x1 - 2 * x2 + x3, y1 - 2 * y2 + y3),
  );
  const parts = Math.max(1, Math.ceil(Math.sqrt((0.75 * bend) / tolerance)));
  for (let part = 1; part <= parts; part++) {
    const t = part / parts;
    const s = 1 - t;
    const [w0, w1, w2, w3] = [s * s * s, 3 * s * s * t, 3 * s * t * t, t * t * t];
    ring.push({
      x: w0 * x0 + w1 * x1 + w2 * x2 + w3 * x3,
      y: w0 * y0 + w1 * y1 + w2 * y2 + w3 * y3,
    });
  }
}

function withoutRepeats(ring: readonly Point[]): Ring {
  const kept = ring.filter((point, index) => {
    const before = ring[(index + ring.length - 1) % ring.length] ?? point;
    return ring.length === 1 || Math.hypot(point.x - before.x, point.y - before.y) > 1e-9;
  });
  return kept;
}
