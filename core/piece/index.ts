export type { ElementTitle, UntitledElements } from './elements/title.ts';
export { differences, filledFor, FIRST_COPY, type CopyInList } from './copy-fill.ts';
export {
  createCompiler,
  type CompiledPiece,
  type PieceCompiler,
  type PieceSource,
  type PlacedElement,
} from './compile.ts';
export {
  elementInZone,
  elementOnZone,
  offsetInRoom,
  placeInRoom,
  type ZoneOfPiece,
} from './in-zone.ts';
export {
  isNamed,
  LABEL_FIELDS,
  NAMED_FIELDS,
  type LabelField,
  type LabelSays,
  type NamedField,
} from './label-fields.ts';
export {
  alongEdge,
  centredLine,
  centredParts,
  ELEMENT_KINDS,
  elementMap,
  elementMaps,
  elementSchema,
  elementSize,
  elementTitle,
  findCodeLayout,
  findPictureDpi,
  isShapePart,
  outlinesOfWords,
  MEETINGS,
  pictureMap,
  pictureSize,
  repeatSchema,
  resizedElement,
  scaledElement,
  strokeSchema,
  typefacesOfElement,
  type Code,
  type CodeLayout,
  type Combined,
  type CompiledElement,
  type Line,
  type Meeting,
  type Need,
  type Ornament,
  type Part,
  type Picture,
  type PieceElement,
  type Plate,
  type Repeat,
  type Resources,
  type ShapePart,
  type StrokeStyle,
  type Words,
} from './elements/index.ts';
export {
  artOfFill,
  color,
  colorsOfFill,
  drawnScale,
  fillSchema,
  gradientSchema,
  patternFillSchema,
  pictureFillSchema,
  findPaint,
  isPlain,
  leadColor,
  recoloredFill,
  usualGradient,
  type Fill,
  type FillSource,
  type Gradient,
  type PatternFill,
  type PictureFill,
} from './fill.ts';
export { COLOR_ROLES, FACE_ROLES, type ColorRole, type FaceRole } from './roles.ts';
export { adapted } from './adapt.ts';
export { findTooMuch, MOST_DRAWN } from './drawn-amount.ts';
export { artOfElement, withFills } from './element-fills.ts';
export { fieldsSaid, textsOf, withTexts } from './element-texts.ts';
export { colorsOfPieces, recoloredElement, recoloredPiece } from './colors.ts';
export { placedBoxes, seenBox, seenBoxOf } from './seen.ts';
export {
  columnName,
  fieldOf,
  fieldsInOrder,
  fieldsOfRow,
  findQuantity,
  freshKeys,
  LIST_LIMITS,
  replaceList,
  listRowSchema,
  listSchema,
  longestRows,
  rowsOn,
  type List,
  type ListRow,
} from './list.ts';
export {
  ENCODINGS,
  listText,
  parseList,
  parseTable,
  readListFile,
  SEPARATORS,
  type Encoding,
  type ListChoices,
  type ReadList,
  type Separator,
} from './read-list.ts';
export {
  fieldsOf,
  hasPlaceholders,
  filledText,
  countsUp,
  unreadPlaceholders,
  type CopyFacts,
} from './placeholders.ts';
export { picturePiece, type PieceLook } from './picture-piece.ts';
export {
  coverOf,
  PIECE_NAME_LETTERS,
  pieceSchema,
  pieceSize,
  thingOf,
  type Guest,
  type Piece,
} from './piece.ts';
