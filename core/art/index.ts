export type { ArtNote, ArtNotes } from './notes.ts';
export type { ArtOmission, ArtOmissions } from './omissions.ts';
export {
  artSchema,
  artSize,
  type Art,
  type PixelArt,
  type VectorArt,
  type VectorNodes,
} from './art.ts';
export { clearBackground, findBorderColor, USUAL_CLEARING, type Cleared } from './clear.ts';
export type { Clearing } from './background.ts';
export { ART_LIMITS } from './limits.ts';
export { madePixels, makeArt, pixelArt, vectorArt } from './make.ts';
export { ornamentOf, ORNAMENTS, type OrnamentKind, type OrnamentName } from './ornaments/index.ts';
export { orientationMap } from './orientation.ts';
export { readPixels, upright } from './pixels.ts';
export { scanPixels } from './scan.ts';
export { readArt, titleOf, vectorNodes, type ReadArt } from './read.ts';
export {
  colorAt,
  colorsOf,
  makePixels,
  makeVector,
  PLAIN_PIXELS,
  PLAIN_VECTOR,
  shapesOf,
  type BrushStroke,
  type PixelRecipe,
  type Recipe,
  type VectorRecipe,
} from './recipe.ts';
export { patternOf, PATTERNS, type PatternName, type PatternTile } from './patterns/index.ts';
export { isSameArt, sameArt, type Signature } from './signature.ts';
export {
  partImage,
  partOf,
  splitPage,
  USUAL_SPLITTING,
  type PagePart,
  type SplitPage,
  type Splitting,
} from './split.ts';
export { spreadImage, spreadShapes } from './spread.ts';
export { isDrawnVector } from './svg/kept.ts';
export { svgDrawer, type SvgDrawer } from './svg/library.ts';
export { parseSvg } from './svg/earlier/reader.ts';
export type { SvgPicture } from './svg/picture.ts';
export { takeIn, type TakenArt, type TakeInChoices, type TakenIn } from './take-in.ts';
export { traceImage, USUAL_SPECK, USUAL_TOLERANCE, type Traced, type Tracing } from './trace.ts';
export { traceVector } from './vector-edge.ts';
