export { countCrossings } from './crossings.ts';
export {
  apply,
  compose,
  IDENTITY,
  invert,
  nested,
  placed,
  rotation,
  scaleOf,
  scaling,
  translation,
  type Affine,
  type Point,
} from './affine.ts';
export { dashesAlong, dotsAlong } from './along.ts';
export { bow, roundedRing } from './bends.ts';
export {
  boxAbout,
  boxAround,
  boxesMeet,
  boxOf,
  boxOfRings,
  boxWithin,
  corners,
  grown,
  type Box,
} from './box.ts';
export { drawnLine } from './drawn-line.ts';
export { convexHull } from './hull.ts';
export { fitCurves, type CurveFit, type FittedCurves } from './curves.ts';
export { fitAffine, fitSimilarity, residualOf, type PointPair } from './fit.ts';
export {
  dataFromPen,
  ellipsePath,
  findPath,
  flatten,
  KAPPA,
  linesPath,
  mapPath,
  mapRing,
  rectanglePath,
  ringsPath,
  type Path,
  type PathStep,
  type Ring,
} from './path.ts';
export { fitPerspective, project, type Perspective } from './perspective.ts';
export {
  intersectionOf,
  differenceOf,
  evenOddRegion,
  offsetRegion,
  strokedRegion,
  unionOf,
  type CornerStyle,
} from './regions.ts';
export {
  distanceBetween,
  clockwise,
  largestRing,
  outlineFirstWay,
  distanceToRings,
  distanceToSegment,
  insideParts,
  isInside,
  signedArea,
} from './ring.ts';
export { simplifiedRing } from './simplify.ts';
