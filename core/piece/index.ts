export {
  createCompiler,
  type CompiledPiece,
  type PieceCompiler,
  type PieceSource,
  type PlacedElement,
} from './compile.ts';
export {
  alongRim,
  ELEMENT_KINDS,
  elementSchema,
  elementSize,
  elementTitle,
  findPictureDpi,
  pictureMap,
  pictureSize,
  resizedElement,
  type CompiledElement,
  type Need,
  type Part,
  type Picture,
  type PieceElement,
  type Plate,
  type Resources,
  type Words,
} from './elements/index.ts';
export { picturePiece, type PieceLook } from './picture-piece.ts';
export { pieceSchema, pieceSize, type Piece } from './piece.ts';
