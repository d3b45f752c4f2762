export { copyOutcome, type CopyOutcome } from './deviation.ts';
export type {
  CutOrder,
  CutPath,
  CutSheet,
  Cutter,
  Devices,
  PrintedSheet,
  Printer,
  PrintOrder,
} from './devices.ts';
export { runJob, unaccepted, type RunOrder, type RunReport, type SheetRun } from './run.ts';
