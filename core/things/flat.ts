import type { SizeWarning } from './size-warnings.ts';
import type { Point, Ring } from '../geometry/index.ts';
import type { EdgeShape } from '../shape/index.ts';

/** What a part of a flat label will be on the thing. */
export type ZoneName =
  'front' | 'back' | 'side' | 'top' | 'bottom' | 'overlap' | 'flap' | 'spine' | 'hub' | 'hem';

/** A part of the flat label, about its middle, mm. */
export interface Zone {
  readonly name: ZoneName;
  readonly rings: readonly Ring[];
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
  /** Degrees by which words are turned on the flat label to stand upright on the thing. */
  readonly reading: 0 | 270;
  /** How many of these labels one thing takes. */
  readonly parts: number;
  /** Sentences about what may go wrong on the real thing. */
  readonly warnings: readonly SizeWarning[];
}
