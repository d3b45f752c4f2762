export { alignToMarks } from './align-to-marks.ts';
export { copyOutcome, type CopyOutcome } from './deviation.ts';
export type {
  CutDone,
  CutOrder,
  CutPath,
  Cutter,
  Devices,
  Printed,
  PrintedSheet,
  PrintNote,
  Printer,
  PrintOrder,
  SeenCut,
} from './devices.ts';
export {
  faultsSchema,
  NO_FAULTS,
  PRINT_STOPS,
  withStop,
  type SimulatedFaults,
  type PrintStop,
} from './simulated-faults.ts';
export {
  locateSheet,
  type LoadedPicture,
  type LoadedSheet,
  type SeenLoaded,
} from './locate-sheet.ts';
export { blockedBy, runJob, type RunOrder, type RunReport, type SheetRun } from './run.ts';
export {
  CUTTER_SPREAD,
  grainOf,
  sampleLoadError,
  samplePrintError,
  PRINTER_SPREAD,
  type CutterSpread,
  type PrinterSpread,
} from './device-spread.ts';
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
  bookedRuns,
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
