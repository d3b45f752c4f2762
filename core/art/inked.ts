import { solid, type PathNode } from '../drawing/index.ts';
import { ellipsePath, type Path, type Point } from '../geometry/index.ts';

/** A filled shape. */
export const filled = (path: Path, color: string): PathNode => ({
  kind: 'path',
  path,
  fill: solid(color),
});

/** A line with round ends. */
export const lined = (path: Path, color: string, width: number): PathNode => ({
  kind: 'path',
  path,
  stroke: { paint: solid(color), width, cap: 'round', join: 'round' },
});

/** A dot. */
export const dot = (x: number, y: number, radius: number): Path =>
  ellipsePath({ x, y }, radius, radius);

/** A closed line through points. */
export const polygon = (points: readonly Point[]): Path => [
  ...points.map(({ x, y }, at) => [at === 0 ? 'M' : 'L', x, y] as const),
  ['Z'] as const,
];
