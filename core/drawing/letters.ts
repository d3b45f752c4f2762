import { compose, mapPath, placed, scaling, type Path } from '../geometry/index.ts';
import type { GlyphsNode } from './drawing.ts';

/** What has the outlines of glyphs. */
export interface Outlines {
  /** In em units, with y down. */
  outline(glyph: number): Path;
}

/** The outline of each letter at its place, mm; none when the typeface is missing. */
export function letterPaths(
  { size, glyphs }: Pick<GlyphsNode, 'size' | 'glyphs'>,
  typeface: Outlines | undefined,
): Path[] {
  if (!typeface) return [];
  return glyphs.map(({ id, x, y, angle }) =>
    mapPath(typeface.outline(id), compose(placed(x, y, angle), scaling(size))),
  );
}
