export {
  buildEdge,
  leftOutside,
  STICKER_EDGE,
  edgeBuildSchema,
  outlinePart,
  partRings,
  pathPart,
  plainBuild,
  punchedPath,
  punchedSchema,
  rimOf,
  type BuiltEdge,
  type EdgeBuild,
  type EdgePart,
  type Punched,
} from './build.ts';
export {
  creaseLines,
  edgePart,
  startedAt,
  edgeRings,
  joinedEdges,
  placeEdge,
  type CutKind,
  type CutLine,
  type EdgeRings,
} from './cut-line.ts';
export { mirroredShape } from './mirrored.ts';
export { shareLines, type SharedEdges, type SharedLine } from './shared-lines.ts';
export { arcPoint, type ArcShape } from './kinds/arc.ts';
export type { ShapeMeasure } from './kinds/kind.ts';
export {
  centredOutline,
  mapNodes,
  isTangled,
  outlineNodeSchema,
  pathNodes,
  wayPath,
  MOST_OUTLINE_POINTS,
  type OutlineNode,
  type OutlineShape,
} from './kinds/outline.ts';
export type { TagShape } from './kinds/tag.ts';
export {
  isSmooth,
  moveHandle,
  moveNode,
  removeNode,
  splitAfter,
  turnNode,
  type NodePlace,
} from './nodes.ts';
export {
  edgeShapeSchema,
  insetShape,
  isConvex,
  plainShape,
  resizedShape,
  SHAPE_KINDS,
  shapeMeasures,
  shapePath,
  shapeSize,
  type BoxedKind,
  type EdgeShape,
  type PlainShape,
} from './shape.ts';
