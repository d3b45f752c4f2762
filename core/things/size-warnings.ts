import type { Coded, NoValues } from '../base/index.ts';

/** What may go wrong with a label of such a size, by code; lengths in mm. */
export interface SizeWarnings {
  /** By which share the rim of a flat label is longer than the dome's there, and how high that is. */
  'dome-wrinkles': { surplus: number; height: number };
  'hole-over-edge': NoValues;
  'hole-tears': { rim: number; least: number };
  'long-overlap': { overlap: number };
  'no-overlap': NoValues;
  'opening-wider': NoValues;
  'overlap-beyond-panel': NoValues;
  'print-in-hole': { hole: number };
  'round-ends': NoValues;
  'short-overlap': { overlap: number };
  'small-clearance': NoValues;
  'wide-strip': { strip: number; along: number };
}
export type SizeWarning = Coded<SizeWarnings>;

/** Something that may go wrong with a size. */
export const warning = <C extends keyof SizeWarnings>(
  code: C,
  values: SizeWarnings[C],
): SizeWarning => ({ code, values }) as SizeWarning;
