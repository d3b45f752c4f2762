import type { Problem, Result, Task } from '../base/index.ts';
import type { Affine, Ring } from '../geometry/index.ts';
import type { CutProgram } from '../output/index.ts';
import type { CutProfile } from '../stock/index.ts';
import type { MarkPlace, Registration, SheetPicture } from '../register/index.ts';

/** What is worth telling of a print though it went well: that the printer may have scaled it. */
export type PrintNote = 'may-scale';

/** What is sent to a printer: the bytes of a PDF and the facts it is printed by. */
export interface PrintOrder {
  readonly pdf: Uint8Array;
  readonly name: string;
  /** mm */
  readonly sheet: { readonly width: number; readonly height: number };
}

/** A sheet that came out of a simulated printer. */
export interface PrintedSheet {
  readonly picture: SheetPicture;
  /** Where mm of the file came out on the paper: what only a simulation can know. */
  readonly actualTransform: Affine;
}

/** What came of a print. */
export interface Printed {
  /** What is worth telling though it was printed. */
  readonly notes: readonly PrintNote[];
  /** A page as it came out; a real printer cannot show it. Pages count from 0. */
  sheet?(page: number): Promise<PrintedSheet>;
}

/** A printer that takes bytes. */
export interface Printer {
  print(order: PrintOrder, task: Task): Promise<Result<Printed>>;
}

/** What is sent to a cutter: bytes, and the facts printed on the sheet. */
export interface CutOrder {
  /** Which sheet of the run it is, from 0. */
  readonly number: number;
  readonly program: CutProgram;
  /** How the cutter is spoken to; as cut files are exported unless given. */
  readonly profile?: CutProfile | undefined;
  readonly marks: readonly MarkPlace[];
  readonly sheet: { readonly width: number; readonly height: number };
  /** What is laid in, where that is known. */
  readonly printed?: SheetPicture;
  /** From mm of the sheet to where it lies, when a hand has told it: the marks are not looked for then. */
  readonly sheetToBed?: Affine;
}

/** A line that was cut, where the knife went: mm in the sensor's picture. */
export interface CutPath {
  readonly pen: number;
  readonly ring: Ring;
  /** Whether it did not come back to its start. */
  readonly open: boolean;
  /** Whether the knife went through as deep as it should. */
  readonly clean: boolean;
}

/** What a simulated cutter did, and saw. */
export interface SeenCut {
  readonly registration: Registration;
  readonly sensor: SheetPicture;
  /** Where mm of the paper lie in the sensor's picture: what only a simulation can know. */
  readonly actualTransform: Affine;
  /** Empty when the marks could not be trusted: nothing is cut then. */
  readonly cuts: readonly CutPath[];
}

/** What came of a cut: a real cutter tells nothing but that it took the lines. */
export interface CutDone {
  readonly seen?: SeenCut;
  /** What ended it before its time. */
  readonly problem?: Problem;
}

/** A cutter that takes bytes. */
export interface Cutter {
  cut(order: CutOrder, task: Task): Promise<Result<CutDone>>;
}

/** The devices of a run. */
export interface Devices {
  readonly printer: Printer;
  readonly cutter: Cutter;
}
