export { alignedBy } from './align.ts';
export { copyOutcome, type CopyOutcome } from './deviation.ts';
export type {
  CutDone,
  CutOrder,
  CutPath,
  Cutter,
  Devices,
  Printed,
  PrintedSheet,
  Printer,
  PrintOrder,
  SeenCut,
} from './devices.ts';
export {
  faultsSchema,
  NO_FAULTS,
  PRINT_STOPS,
  withStop,
  type Faults,
  type PrintStop,
} from './faults.ts';
export { readLoaded, type LoadedPicture, type LoadedSheet, type SeenLoaded } from './loaded.ts';
export { runJob, type RunOrder, type RunReport, type SheetRun } from './run.ts';
export {
  CUTTER_SPREAD,
  grainOf,
  laidBy,
  printedBy,
  PRINTER_SPREAD,
  type CutterSpread,
  type PrinterSpread,
} from './spread.ts';
export {
  allChances,
  chanceBeyond,
  rehearse,
  rehearseSheet,
  strayFor,
  type Chances,
  type CopyChance,
  type Rehearsed,
} from './rehearsal.ts';
export {
  byPack,
  costPerGood,
  daysLeft,
  goodOf,
  ledgerCsv,
  runRecordSchema,
  spoilage,
  type RunRecord,
  type PackTotal,
} from './ledger.ts';
export { sheetPdf } from './sheet-pdf.ts';
