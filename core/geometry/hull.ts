import type { Point } from './affine.ts';

/** The corners of the least convex outline around points. Source: Andrew's monotone chain. */
export function convexHull(points: readonly Point[]): Point[] {
  const sorted = [...points].sort((one, other) => one.x - other.x || one.y - other.y);
  if (sorted.length < 3) return sorted;
  const chain = (along: readonly Point[]): Point[] => {
    const hull: Point[] = [];
    for (const point of along) {
      for (;;) {
        const [from, last] = [hull[hull.length - 2], hull[hull.length - 1]];
        if (!from || !last) break;
        const bend =
          (last.x - from.x) * (point.y - from.y) - (last.y - from.y) * (point.x - from.x);
        if (bend > 0) break;
        hull.pop();
      }
      hull.push(point);
    }
    return hull.slice(0, -1);
  };
  return [...chain(sorted), ...chain(sorted.reverse())];
}
