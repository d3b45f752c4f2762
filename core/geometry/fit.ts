import { apply, type Affine, type Point } from './affine.ts';

/** A place and where it was found. */
export interface PointPair {
  readonly from: Point;
  readonly to: Point;
}

/**
 * The similarity (turn, one scale, shift) that maps `from` to `to` best in the least-squares sense.
 * Needs two pairs. Source: Umeyama (1991), for the plane, without mirroring.
 */
export function fitSimilarity(pairs: readonly PointPair[]): Affine {
  if (pairs.length < 2) throw new RangeError('A similarity needs two pairs of points.');
  const { from, to } = centroids(pairs);
  let along = 0;
  let across = 0;
  let size = 0;
  for (const pair of pairs) {
    const x = pair.from.x - from.x;
    const y = pair.from.y - from.y;
    const u = pair.to.x - to.x;
    const v = pair.to.y - to.y;
    along += x * u + y * v;
    across += x * v - y * u;
    size += x * x + y * y;
  }
  const a = along / size;
  const b = across / size;
  return [a, b, -b, a, to.x - a * from.x + b * from.y, to.y - b * from.x - a * from.y];
}

/**
 * The affine map that takes `from` to `to` best in the least-squares sense. Needs three pairs that
 * are not on one line; throws RangeError otherwise. Solved from the 2 x 2 normal equations about
 * the centroids.
 */
export function fitAffine(pairs: readonly PointPair[]): Affine {
  const { from, to } = centroids(pairs);
  let [xx, xy, yy, xu, yu, xv, yv] = [0, 0, 0, 0, 0, 0, 0];
  for (const pair of pairs) {
    const x = pair.from.x - from.x;
    const y = pair.from.y - from.y;
    const u = pair.to.x - to.x;
    const v = pair.to.y - to.y;
    xx += x * x;
    xy += x * y;
    yy += y * y;
    xu += x * u;
    yu += y * u;
    xv += x * v;
    yv += y * v;
  }
  const area = xx * yy - xy * xy;
  if (pairs.length < 3 || area < 1e-9 * xx * yy + 1e-12) {
    throw new RangeError('An affine map needs three pairs of points that are not on one line.');
  }
  const a = (xu * yy - yu * xy) / area;
  const c = (yu * xx - xu * xy) / area;
  const b = (xv * yy - yv * xy) / area;
  const d = (yv * xx - xv * xy) / area;
  return [a, b, c, d, to.x - a * from.x - c * from.y, to.y - b * from.x - d * from.y];
}

function centroids(pairs: readonly PointPair[]): PointPair {
  const sum = { fx: 0, fy: 0, tx: 0, ty: 0 };
  for (const { from, to } of pairs) {
    sum.fx += from.x;
    sum.fy += from.y;
    sum.tx += to.x;
    sum.ty += to.y;
  }
  const n = pairs.length;
  return { from: { x: sum.fx / n, y: sum.fy / n }, to: { x: sum.tx / n, y: sum.ty / n } };
}

/** Root mean square distance between where a map puts points and where they were found. */
export function residualOf(map: Affine, pairs: readonly PointPair[]): number {
  return Math.sqrt(
    pairs.reduce((sum, { from, to }) => {
      const at = apply(map, from);
      return sum + (at.x - to.x) ** 2 + (at.y - to.y) ** 2;
    }, 0) / pairs.length,
  );
}
