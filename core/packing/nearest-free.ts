import type { Point } from '../geometry/index.ts';

const { cos, hypot, min, PI, sin } = Math;

const DIRECTIONS = 48;
const FIRST = 0.2; // mm
const GROWTH = 1.18;
/** So exactly is a place found, mm. */
const EXACT = 0.005;

/**
 * The free place that is nearest to another one, or undefined when there is none within reach. Rings
 * of directions are looked at, wider and wider; what is found is then drawn back as far as it stays
 * free. A passage that is narrower than the rings are apart may be missed.
 * @param reach mm
 */
export function nearestFree(
  from: Point,
  isFree: (at: Point) => boolean,
  reach: number,
): Point | undefined {
  if (isFree(from)) return from;
  let inner = 0;
  for (let radius = FIRST; inner < reach; radius = radius * GROWTH) {
    const outer = min(radius, reach);
    const found = around(from, outer).filter(isFree);
    if (found.length > 0)
      return found
        .map((at) => drawnBack(at, { from, isFree, inner }))
        .reduce((best, at) => (apart(at, from) < apart(best, from) ? at : best));
    inner = outer;
  }
  return undefined;
}

const apart = (one: Point, other: Point): number => hypot(one.x - other.x, one.y - other.y);

const around = ({ x, y }: Point, radius: number): Point[] =>
  Array.from({ length: DIRECTIONS }, (_, at) => {
    const angle = (at * 2 * PI) / DIRECTIONS;
    return { x: x + radius * cos(angle), y: y + radius * sin(angle) };
  });

/** Draws a free place towards another one: straight on, then along what is in the way. */
function drawnBack(
  start: Point,
  { from, isFree, inner }: { from: Point; isFree: (at: Point) => boolean; inner: number },
): Point {
  const far = apart(start, from);
  let [taken, free] = [inner / far, 1];
  const on = (share: number): Point => ({
    x: from.x + (start.x - from.x) * share,
    y: from.y + (start.y - from.y) * share,
  });
  while ((free - taken) * far > EXACT) {
    const middle = (free + taken) / 2;
    if (isFree(on(middle))) free = middle;
    else taken = middle;
  }
  let best = on(free);
  for (let step = far / 4; step > EXACT;) {
    const nearer = around(best, step).find(
      (at) => apart(at, from) < apart(best, from) - EXACT / 2 && isFree(at),
    );
    if (nearer) best = nearer;
    else step /= 2;
  }
  return best;
}
