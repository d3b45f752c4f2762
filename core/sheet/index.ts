export {
  arrange,
  copiesPerSheet,
  mostPerSheet,
  type Arrangeable,
  type Layout,
  type Placement,
  type SheetLayout,
} from './arrange.ts';
export { mostThatFit } from './bound.ts';
export { fitsOn, partsThatFit } from './fits.ts';
export {
  compileSheet,
  findGap,
  findPrintClip,
  type CopySource,
  pieceSymbol,
  sheetCopies,
  type CompiledSheet,
  type SheetCopy,
} from './compile.ts';
export { tryPack, type PackAnswer } from './pack.ts';
export {
  copyId,
  handPlaceSchema,
  planSchema,
  type CopyId,
  type HandPlace,
  type Plan,
} from './plan.ts';
