import { onceFor } from '../../core/base/index.ts';
import {
  drawingToSvg,
  nodesToSvg,
  walkDrawing,
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

const HEAVY = 3000; // steps of paths

/** Whether nodes take so long to paint that what moves them should not paint them anew. */
export const isHeavy = onceFor((nodes: readonly DrawingNode[]): boolean => {
  let steps = 0;
  walkDrawing({ nodes, symbols: {} }, (node) => {
    if (node.kind === 'path') steps += node.path.length;
  });
  return steps > HEAVY;
});

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
  typeface: (id) => sources.typeface(id),
  imageUrl: (art) => sources.imageUrl(art),
  prefix,
});
