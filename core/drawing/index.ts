export { findBounds, SHADOW_REACH } from './bounds.ts';
export {
  BLEND_MODES,
  outlinesOf,
  solid,
  walkDrawing,
  type BlendMode,
  type Drawing,
  type DrawingNode,
  type GlyphsNode,
  type GradientPaint,
  type GradientStop,
  type GroupNode,
  type ImageNode,
  type Mask,
  type Paint,
  type ShadowNode,
  type SolidPaint,
  type PathNode,
  type PlacedGlyph,
  type Stroke,
  type TilePaint,
} from './drawing.ts';
export { letterPaths, type Outlines } from './letters.ts';
export { written, writtenAll } from './number.ts';
export { drawingToSvg, nodesToSvg, pathData, type SvgParts, type SvgSources } from './svg.ts';
export { recoloredNode, recoloredPaint } from './recolored.ts';
export { strokeRegion } from './stroke-region.ts';
export { cellsOf, type Cell } from './tiles.ts';
