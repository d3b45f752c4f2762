export {
  creaseLines,
  edgeRings,
  placeEdge,
  type CutKind,
  type CutLine,
  type EdgeRings,
} from './cut-line.ts';
export { arcPoint, type ArcShape } from './kinds/arc.ts';
export { MOST_OUTLINE_POINTS, type OutlineShape } from './kinds/outline.ts';
export type { TagShape } from './kinds/tag.ts';
export {
  edgeShapeSchema,
  insetShape,
  plainShape,
  resizedShape,
  SHAPE_KINDS,
  shapePath,
  shapeSize,
  type EdgeShape,
  type PlainShape,
} from './shape.ts';
