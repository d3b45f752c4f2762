import {
  drawingToSvg,
  nodesToSvg,
  pathData,
  type Drawing,
  type DrawingNode,
  type SvgParts,
  type SvgSources,
} from '../../core/drawing/index.ts';
import type { Typeface } from '../../core/type/index.ts';

/** What a page draws from: loaded typefaces and addresses of pictures. */
export interface PageSources {
  typeface(id: string): Typeface | undefined;
  imageUrl(art: string): string | undefined;
}

const glyphs = new WeakMap<Typeface, Map<number, string>>();

function glyphData(typeface: Typeface | undefined, id: number): string {
  if (!typeface) return '';
  const known = glyphs.get(typeface) ?? new Map<number, string>();
  glyphs.set(typeface, known);
  const data = known.get(id) ?? pathData(typeface.outline(id));
  known.set(id, data);
  return data;
}

/** SVG markup of nodes for this page. */
export function pageSvg(
  nodes: readonly DrawingNode[],
  sources: PageSources,
  prefix: string,
): SvgParts {
  return nodesToSvg(nodes, {}, svgSources(sources, prefix));
}

/** A whole drawing as an SVG file, to be used as an image. */
export function pageSvgFile(drawing: Drawing, sources: PageSources): string {
  return drawingToSvg(drawing, svgSources(sources, ''));
}

const svgSources = (sources: PageSources, prefix: string): SvgSources => ({
  glyph: (typeface, id) => glyphData(sources.typeface(typeface), id),
  imageUrl: (art) => sources.imageUrl(art),
  prefix,
});
