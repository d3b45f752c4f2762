import fitCurve from 'fit-curve';
import type { Path, PathStep } from './path.ts';
import type { Point } from './affine.ts';
import { distanceToSegment } from './ring.ts';

/**
 * A smooth line through points that were drawn by hand, mm: as few curves as stay within a tolerance.
 * Source: P. J. Schneider, “An algorithm for automatically fitting digitized curves” (Graphics Gems,
 * 1990), by `fit-curve`.
 */
export function drawnLine(points: readonly Point[], tolerance: number): Path {
  const apart = points.filter((point, at) => {
    const before = points[at - 1];
    return !before || Math.hypot(point.x - before.x, point.y - before.y) > 1e-3;
  });
  const [first, last] = [apart[0], apart[apart.length - 1]];
  if (!first || !last || apart.length < 2) return [];
  if (apart.every((point) => distanceToSegment(point, first, last) <= tolerance))
    return [
      ['M', first.x, first.y],
      ['L', last.x, last.y],
    ];
  const curves = fitCurve(
    apart.map(({ x, y }) => [x, y]),
    tolerance * tolerance,
  );
  return [
    ['M', first.x, first.y],
    ...curves.map(([, one, two, end]): PathStep => {
      const [x1 = 0, y1 = 0] = one ?? [];
      const [x2 = 0, y2 = 0] = two ?? [];
      const [x = 0, y = 0] = end ?? [];
      return ['C', x1, y1, x2, y2, x, y];
    }),
  ];
}
