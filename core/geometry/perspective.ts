import type { Point } from './affine.ts';
import type { PointPair } from './fit.ts';

/**
 * A perspective map of the plane, row by row: `x' = (ax + by + c) / (gx + hy + 1)`,
 * `y' = (dx + ey + f) / (gx + hy + 1)`.
 */
export type Perspective = readonly [
  a: number,
  b: number,
  c: number,
  d: number,
  e: number,
  f: number,
  g: number,
  h: number,
];

/**
 * The perspective map that takes four points, no three of them on a line, to four others; throws
 * RangeError otherwise. Solved from its eight linear equations by Gauss' elimination with pivots.
 */
export function fitPerspective(pairs: readonly PointPair[]): Perspective {
  if (pairs.length !== 4) throw new RangeError('A perspective map is fitted to four points.');
  const rows = pairs.flatMap(({ from: { x, y }, to }) => [
    [x, y, 1, 0, 0, 0, -x * to.x, -y * to.x, to.x],
    [0, 0, 0, x, y, 1, -x * to.y, -y * to.y, to.y],
  ]);
  for (let column = 0; column < 8; column++) {
    let pivot = column;
    for (let row = column + 1; row < 8; row++)
      if (Math.abs(rows[row]?.[column] ?? 0) > Math.abs(rows[pivot]?.[column] ?? 0)) pivot = row;
    const best = rows[pivot] ?? [];
    if (Math.abs(best[column] ?? 0) < 1e-9)
      throw new RangeError('Three of the four points are on a line.');
    rows[pivot] = rows[column] ?? [];
    rows[column] = best;
    for (const [at, row] of rows.entries()) {
      const share = (row[column] ?? 0) / (best[column] ?? 1);
      if (at === column || share === 0) continue;
      for (let k = column; k < 9; k++) row[k] = (row[k] ?? 0) - share * (best[k] ?? 0);
    }
  }
  return rows.map((row, at) => (row[8] ?? 0) / (row[at] ?? 1)) as unknown as Perspective;
}

/** Where a point lies under a perspective map. */
export function project([a, b, c, d, e, f, g, h]: Perspective, { x, y }: Point): Point {
  const w = g * x + h * y + 1;
  return { x: (a * x + b * y + c) / w, y: (d * x + e * y + f) / w };
}
