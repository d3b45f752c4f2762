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
export { fitsOn, partsThatFit } from './fits.ts';
export { compileSheet, findPrintClip, type CompiledSheet } from './compile.ts';
export {
  findGap,
  pieceSymbol,
  sheetCopies,
  type CopyVariant,
  type CopySource,
  type SheetCopy,
} from './sheet-copies.ts';
export {
  copiesKey,
  findCopy,
  isByRow,
  isPrinted,
  copyIds,
  copyCount,
  MOST_COPIES,
  printedCopyIds,
  rowInTurn,
  type CopiesSource,
  type JobCopy,
} from './copies.ts';
export {
  copyAt,
  judgeCopy,
  meetsZone,
  nearestPlace,
  surroundingsOf,
  type PlaceJudged,
} from './judge.ts';
export { cutLength, edgeCut, type SheetCut } from './sheet-cuts.ts';
export { cropMarks, trimPlan, type NoTrimPlan, type TrimCut, type TrimPlan } from './trim-plan.ts';
export {
  copyId,
  copyParts,
  inOrder,
  handPlaceSchema,
  TURNS,
  waitsForNest,
  withoutNested,
  type NestedCopy,
  type Turns,
  planSchema,
  type CopyId,
  type HandPlace,
  type Plan,
} from './plan.ts';
export { isBetterNest, nestJob, type NestedJob } from './nest-job.ts';
