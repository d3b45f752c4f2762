import { compose, mapPath, placed, scaling, type Path } from '../geometry/index.ts';
import type { GlyphsNode } from './drawing.ts';

/** The outline of a glyph in em units with y down; empty when the typeface is missing. */
export type GlyphOutline = (typeface: string, glyph: number) => Path;

/** Letters as one path at their places, mm. */
export function lettersPath({ typeface, size, glyphs }: GlyphsNode, outline: GlyphOutline): Path {
  return glyphs.flatMap(({ id, x, y, angle }) =>
    mapPath(outline(typeface, id), compose(placed(x, y, angle), scaling(size))),
  );
}
