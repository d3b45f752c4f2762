import type { Fill, PieceElement } from '../piece/index.ts';
import type { DesignColors } from './given.ts';
import type { LabelUse } from './label-uses.ts';
import type { Layout } from './layout.ts';

/** What a design gives: a ground of its own, where it has one, and what stands on that. */
export interface MadeDesign {
  readonly ground?: Fill | null;
  readonly elements: readonly PieceElement[];
  /** Colours of what stands beside it, where they are others than its own. */
  readonly colors?: DesignColors;
  /** Whether blocks of colour lie beyond its room, where other words may stand. */
  readonly blocks?: boolean;
}

/** A starting design. */
export interface Design {
  /** What it suits best. */
  readonly uses: readonly LabelUse[];
  make(layout: Layout): MadeDesign;
}
