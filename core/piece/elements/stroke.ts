import { z } from 'zod';
import { solid, type PathNode } from '../../drawing/index.ts';
import type { Path } from '../../geometry/index.ts';
import { color } from '../fill.ts';

/** A line along a plate or a drawn line. */
export const strokeSchema = z.object({
  color,
  /** mm */
  width: z.number().min(0.02).max(50),
  style: z.enum(['solid', 'dashed', 'dotted', 'double']),
  /** How it ends and turns corners; flat and mitred unless given. */
  cap: z.enum(['butt', 'round', 'square']).optional(),
  join: z.enum(['miter', 'round', 'bevel']).optional(),
});
export type StrokeStyle = z.infer<typeof strokeSchema>;

const DASHES: Readonly<Record<StrokeStyle['style'], (width: number) => number[]>> = {
  solid: () => [],
  double: () => [],
  dashed: (width) => [4 * width, 3 * width],
  dotted: (width) => [0, 2.4 * width],
};

/** A path drawn with a line of a style; a double one draws only the first of its lines. */
export function stroked(
  path: Path,
  { color: ink, width, style, cap, join }: StrokeStyle,
): PathNode {
  const dash = DASHES[style](width);
  return {
    kind: 'path',
    path,
    stroke: {
      paint: solid(ink),
      width,
      ...(dash.length ? { dash } : {}),
      cap: style === 'dotted' ? 'round' : (cap ?? 'butt'),
      ...(join ? { join } : {}),
    },
  };
}
