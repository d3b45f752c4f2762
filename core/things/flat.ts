import type { SizeWarning } from './size-warnings.ts';
import type { Point, Ring } from '../geometry/index.ts';
import type { EdgeShape } from '../shape/index.ts';

/** What a part of a flat label will be on the thing. */
export type ZoneName =
  'front' | 'back' | 'side' | 'top' | 'bottom' | 'overlap' | 'flap' | 'spine' | 'hub' | 'hem';

/** Degrees clockwise by which words are turned on the flat label to stand upright on the thing. */
export type Reading = 0 | 90 | 180 | 270;

/** A part of the flat label, about its middle, mm. */
export interface Zone {
  readonly name: ZoneName;
  readonly rings: readonly Ring[];
  /** How its words are turned. */
  readonly reading: Reading;
  /** On a bent label from which angle to which it lies, degrees from the label's middle. */
  readonly span?: { readonly from: number; readonly to: number };
}

/** A line along which the label is folded, about its middle, mm. */
export type Fold = readonly Point[];

/** The flat label that a thing asks for. */
export interface FlatSize {
  readonly shape: EdgeShape;
  /** mm */
  readonly width: number;
  readonly height: number;
  readonly zones: readonly Zone[];
  readonly folds: readonly Fold[];
  /** How the words of its front are turned. */
  readonly reading: Reading;
  /** How many of these labels one thing takes. */
  readonly parts: number;
  /** Sentences about what may go wrong on the real thing. */
  readonly warnings: readonly SizeWarning[];
}
