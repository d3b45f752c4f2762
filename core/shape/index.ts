export { edgeRings, placeEdge, type CutKind, type CutLine, type EdgeRings } from './cut-line.ts';
export {
  edgeShapeSchema,
  resizedShape,
  SHAPE_KINDS,
  shapePath,
  shapeSize,
  type EdgeShape,
} from './shape.ts';
