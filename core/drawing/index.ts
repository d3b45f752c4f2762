export {
  outlinesOf,
  solid,
  walkDrawing,
  type Drawing,
  type DrawingNode,
  type GlyphsNode,
  type GradientPaint,
  type ImageNode,
  type Paint,
  type SolidPaint,
  type PathNode,
  type PlacedGlyph,
  type Stroke,
  type TilePaint,
} from './drawing.ts';
export { written, writtenAll } from './number.ts';
export { drawingToSvg, nodesToSvg, pathData, type SvgParts, type SvgSources } from './svg.ts';
