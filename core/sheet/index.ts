export {
  arrange,
  copiesOfSize,
  leadPiece,
  copiesPerSheet,
  mostPerSheet,
  stockOf,
  type Arrangeable,
  type Layout,
  type Placement,
  type SheetLayout,
} from './arrange.ts';
export { backLayout } from './back.ts';
export { mirroredBox, mirroredSheet, mirrorsWhole } from './mirrored.ts';
export { mostThatFit } from './bound.ts';
export { fitsOn, partsThatFit } from './fits.ts';
export { compileSheet, findPrintClip, type CompiledSheet } from './compile.ts';
export {
  findGap,
  pieceSymbol,
  sheetCopies,
  type CopyLook,
  type CopySource,
  type SheetCopy,
} from './sheet-copies.ts';
export {
  copiesKey,
  findCopy,
  isByRow,
  isPrinted,
  madeNames,
  madeOf,
  MOST_COPIES,
  printedNames,
  rowInTurn,
  type CopiesSource,
  type MadeCopy,
} from './made-copies.ts';
export { freeRooms } from './fill-best.ts';
export {
  copyAt,
  judgeCopy,
  meetsZone,
  nearestPlace,
  surroundingsOf,
  type PlaceJudged,
} from './judge.ts';
export { nearestFree } from './free-place.ts';
export { cutLength, edgeCut, type SheetCut } from './sheet-cuts.ts';
export { cropMarks, trimPlan, type NoTrimPlan, type TrimCut, type TrimPlan } from './trim-plan.ts';
export { tryPack, type PackAnswer } from './pack.ts';
export {
  copyId,
  copyParts,
  inOrder,
  handPlaceSchema,
  TURNS,
  type NestedCopy,
  type Turns,
  planSchema,
  type CopyId,
  type HandPlace,
  type Plan,
} from './plan.ts';
export { distanceOfRings, findFaults, type Faults } from './distance.ts';
export { nestSheets, type NestEffort } from './nest/nest.ts';
export { type Nested, type NestPlace, type NestWish } from './nest/sheet-search.ts';
export { type NestRoom } from './nest/turned.ts';
export { isBetterNest, nestJob, type NestedJob } from './nest/nest-job.ts';
// What the benchmark's plain way of nesting stands on.
export { Board } from './nest/board.ts';
export { gridSize, reachOf, turnedOutline } from './nest/turned.ts';
