import type { Affine, Ring } from '../geometry/index.ts';
import type { MarkPlace, Registration, SheetPicture } from '../register/index.ts';

/** What is sent to a printer: the bytes of a PDF and which page of it. */
export interface PrintOrder {
  readonly pdf: Uint8Array;
  /** From 0. */
  readonly page: number;
}

/** A sheet that came out of a simulated printer. */
export interface PrintedSheet {
  readonly picture: SheetPicture;
  /** Where mm of the file came out on the paper: what only a simulation can know. */
  readonly truth: Affine;
}

/** A printer that takes bytes and gives a picture of the printed sheet. */
export interface Printer {
  print(order: PrintOrder): Promise<PrintedSheet>;
}

/** What is sent to a cutter: bytes, and the facts printed on the sheet. */
export interface CutOrder {
  readonly hpgl: string;
  readonly marks: readonly MarkPlace[];
  readonly sheet: { readonly width: number; readonly height: number };
  readonly sensor: SheetPicture;
}

/** A line that was cut, where the knife went: mm in the sensor's picture. */
export interface CutPath {
  readonly pen: number;
  readonly ring: Ring;
  /** Whether it did not come back to its start. */
  readonly open: boolean;
}

/** What a cutter did. */
export interface CutSheet {
  readonly registration: Registration;
  /** Empty when the marks could not be trusted: nothing is cut then. */
  readonly cuts: readonly CutPath[];
}

/** A cutter that sees the sheet, finds its marks and cuts. */
export interface Cutter {
  /** Lays a printed sheet in, as a hand does: a little off. */
  load(printed: SheetPicture): { readonly sensor: SheetPicture; readonly truth: Affine };
  cut(order: CutOrder): CutSheet;
}

/** The devices of a run. */
export interface Devices {
  readonly printer: Printer;
  readonly cutter: Cutter;
}
