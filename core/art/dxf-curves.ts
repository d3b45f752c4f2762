import type { Point } from '../geometry/index.ts';

/** A step along an outline: straight, or an arc of a radius. Drawing units, y down. */
export interface Step {
  readonly to: Point;
  readonly arc?: { readonly radius: number; readonly large: boolean; readonly clockwise: boolean };
}

/** A line from a point, step by step. */
export interface Way {
  readonly from: Point;
  readonly steps: readonly Step[];
}

/** A part of an ellipse; angles in radians, y up. */
export interface Ellipse {
  readonly center: Point;
  /** From the centre. */
  readonly majorAxisEndPoint: Point;
  readonly axisRatio: number;
  readonly startAngle: number;
  readonly endAngle: number;
}

/** A B-spline, y up. */
export interface Spline {
  readonly degreeOfSplineCurve: number;
  readonly knotValues: readonly number[];
  readonly controlPoints?: readonly Point[];
}

const MOST_STEPS = 400; // for each piece of a curve

/** A place of a file, whose y goes up, on a page. */
export const at = ({ x, y }: { x: number; y: number }): Point => ({ x, y: -y });

/** In two halves: an arc from a point to itself has no middle. */
export function arcWay(
  centre: Point,
  radius: number,
  [start, end]: readonly [number, number],
): Way {
  const on = (angle: number): Point => ({
    x: centre.x + radius * Math.cos(angle),
    y: centre.y - radius * Math.sin(angle),
  });
  const arc = { radius, large: false, clockwise: false };
  const middle = (start + end) / 2;
  return { from: on(start), steps: [middle, end].map((angle) => ({ to: on(angle), arc })) };
}

export function ellipseWay(ellipse: Ellipse, fine: number): Way {
  const { center, majorAxisEndPoint: major, axisRatio, startAngle, endAngle } = ellipse;
  const end = endAngle > startAngle ? endAngle : endAngle + 2 * Math.PI;
  const on = (share: number): Point => {
    const angle = startAngle + share * (end - startAngle);
    const [c, s] = [Math.cos(angle), Math.sin(angle) * axisRatio];
    return at({ x: center.x + c * major.x - s * major.y, y: center.y + c * major.y + s * major.x });
  };
  const reach = Math.hypot(major.x, major.y);
  const count = stepsFor(reach * (end - startAngle) ** 2, fine);
  const steps = Array.from({ length: count }, (_, step) => ({ to: on((step + 1) / count) }));
  return { from: on(0), steps };
}

/** Source: C. de Boor, A Practical Guide to Splines, the recurrence for a point of a B-spline. */
export function splineWay(spline: Spline, fine: number): Way | undefined {
  const { degreeOfSplineCurve: degree, knotValues: knots, controlPoints = [] } = spline;
  const spans = knots.flatMap((knot, index): number[] =>
    index >= degree && index < controlPoints.length && (knots[index + 1] ?? knot) > knot
      ? [index]
      : [],
  );
  if (spans.length === 0) return undefined;
  const on = (span: number, t: number): Point => {
    const points = Array.from({ length: degree + 1 }, (_, index) => {
      const { x, y } = controlPoints[span - degree + index] ?? { x: 0, y: 0 };
      return { x, y };
    });
    for (let round = 1; round <= degree; round++)
      for (let index = degree; index >= round; index--) {
        const left = knots[span - degree + index] ?? 0;
        const right = knots[span + 1 + index - round] ?? 1;
        const share = (t - left) / (right - left);
        const [before, here] = [points[index - 1], points[index]];
        if (!before || !here) continue;
        here.x = before.x + (here.x - before.x) * share;
        here.y = before.y + (here.y - before.y) * share;
      }
    return at(points[degree] ?? { x: 0, y: 0 });
  };
  const steps = spans.flatMap((span) => {
    const [left, right] = [knots[span] ?? 0, knots[span + 1] ?? 1];
    const count = stepsFor(bendOf(controlPoints.slice(span - degree, span + 1), degree), fine);
    return Array.from({ length: count }, (_, step) => ({
      to: on(span, left + ((right - left) * (step + 1)) / count),
    }));
  });
  return { from: on(spans[0] ?? 0, knots[spans[0] ?? 0] ?? 0), steps };
}

/**
 * How many straight steps stay within a distance of a curve, by the most that its direction changes over
 * the whole of it. Source: the error of linear interpolation, h²/8 of the second derivative.
 */
const stepsFor = (bend: number, fine: number): number =>
  Math.min(MOST_STEPS, Math.max(4, Math.ceil(Math.sqrt(bend / (8 * fine)))));

/** An upper bound of the second derivative of a piece of a curve over its whole, from its control points. */
function bendOf(points: readonly Point[], degree: number): number {
  const bends = points.slice(2).map(({ x, y }, at) => {
    const [one, two] = [points[at] ?? { x, y }, points[at + 1] ?? { x, y }];
    return Math.hypot(x - 2 * two.x + one.x, y - 2 * two.y + one.y);
  });
  return degree * (degree - 1) * Math.max(0, ...bends);
}
