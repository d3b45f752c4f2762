import * as z from 'zod';
import { solid, type PathNode } from '../../drawing/index.ts';
import { dashesAlong, dotsAlong, flatten, type Path } from '../../geometry/index.ts';
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

/** A line so many times as thick. */
export const scaledStroke = <S extends { readonly width: number }>(
  line: S | null,
  factor: number,
): S | null => line && { ...line, width: line.width * factor };

const FINE = 0.004; // mm by which curves are followed for dots and dashes

/**
 * A path drawn with a line of a style; a double one draws only the first of its lines. Dots and dashes
 * are shapes of their own: renderers do not agree on where dashes fall along curves.
 * @param closed whether the path ends where it begins
 */
export function stroked(path: Path, style: StrokeStyle, closed: boolean): PathNode {
  const { color: ink, width, cap, join } = style;
  if (style.style === 'dotted') {
    const dots = { step: 2.4 * width, radius: width / 2, closed };
    return { kind: 'path', path: dotsAlong(flatten(path, FINE), dots), fill: solid(ink) };
  }
  const dashes = { dash: 4 * width, gap: 3 * width, closed };
  return {
    kind: 'path',
    path: style.style === 'dashed' ? dashesAlong(flatten(path, FINE), dashes) : path,
    stroke: { paint: solid(ink), width, cap: cap ?? 'butt', ...(join ? { join } : {}) },
  };
}
