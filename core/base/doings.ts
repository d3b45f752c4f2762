import type { Coded, NoValues } from './coded.ts';
import type { PrinterReason } from './problem-values.ts';

/** What a heavy call is at, by code, with what it names; numbers of sheets and pages are from 1. */
export interface Doings {
  'asking-printer': NoValues;
  connecting: NoValues;
  cutting: NoValues;
  'cutting-sheet': { sheet: number; of: number };
  done: NoValues;
  'finding-devices': NoValues;
  'finding-marks': { sheet: number; of: number };
  nesting: NoValues;
  printing: NoValues;
  'printing-sheet': { sheet: number; of: number };
  proofing: NoValues;
  'reading-page': { page: number; of: number };
  'reading-file': { file: number; of: number };
  rehearsing: { time: number; of: number };
  rendering: NoValues;
  'cutter-rests': NoValues;
  'sending-cut': { cut: number; of: number };
  'sending-sheets': NoValues;
  'waiting-for-printer': { reason: PrinterReason };
  'writing-print': NoValues;
  'writing-sheet': { sheet: number };
}
export type Doing = Coded<Doings>;

/** Something that a heavy call is at. */
export const doing = <C extends keyof Doings>(code: C, values: Doings[C]): Doing =>
  ({ code, values }) as Doing;
