import type { Random } from '../base/index.ts';
import { nested, placed, scaling, translation, type Affine } from '../geometry/index.ts';

/** By how much a printer is off from sheet to sheet, at one standard deviation. */
export interface PrinterSpread {
  /** mm */
  readonly offset: number;
  /** Degrees. */
  readonly turn: number;
  /** Share of every length, across and down on their own. */
  readonly scale: number;
}

/** By how much a hand lays a sheet in off its place, at one standard deviation, and a sensor's noise. */
export interface CutterSpread {
  /** mm */
  readonly offset: number;
  /** Degrees. */
  readonly turn: number;
  /** Levels of 255. */
  readonly noise: number;
}

/** A home printer. */
export const PRINTER_SPREAD: PrinterSpread = { offset: 0.5, turn: 0.12, scale: 0.0015 };
/** A small cutter. */
export const CUTTER_SPREAD: CutterSpread = { offset: 1, turn: 0.4, noise: 3 };

/** Where a printer puts mm of the file on the paper this time. */
export function samplePrintError(
  random: Random,
  { width, height }: { readonly width: number; readonly height: number },
  { offset, turn, scale }: PrinterSpread = PRINTER_SPREAD,
): Affine {
  const [x, y] = [offset * random.normal(), offset * random.normal()];
  return nested(
    placed(width / 2 + x, height / 2 + y, turn * random.normal()),
    scaling(1 + scale * random.normal(), 1 + scale * random.normal()),
    translation(-width / 2, -height / 2),
  );
}

/** Where a hand lays mm of the paper this time. */
export function sampleLoadError(
  random: Random,
  { offset, turn }: CutterSpread = CUTTER_SPREAD,
): Affine {
  return placed(offset * random.normal(), offset * random.normal(), turn * random.normal());
}

/** What a sensor adds to a level. */
export const grainOf = (random: Random, noise: number): number =>
  noise * (random.next() + random.next() - 1);
