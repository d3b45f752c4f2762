import type { PieceElement, Words } from '../piece/index.ts';

/** A place in a room: shares of its width and height from its middle. */
export interface Spot {
  readonly x?: number;
  readonly y?: number;
  /** Shares of the room's width and height. */
  readonly w?: number;
  readonly h?: number;
}

export interface TextLook {
  readonly face?: 'display' | 'text';
  readonly color?: string;
  readonly tracking?: number;
  readonly case?: Words['case'];
  readonly wrap?: boolean;
  /** Whether its box may grow as wide as the room, as nothing frames it. */
  readonly mayWiden?: boolean;
  /** The largest size of its letters, pt. */
  readonly most?: number;
  readonly align?: Words['align'];
  /** Keeps a rim of the ground around the letters, where a pattern lies beneath. */
  readonly halo?: boolean;
  readonly settle?: Words['settle'];
  /** Printed before the words, on their first line. */
  readonly heading?: string;
}

export interface OrnamentLook {
  readonly inks?: readonly [string, string];
  readonly count?: number;
  readonly weight?: number;
  readonly angle?: number;
  readonly flip?: PieceElement['flip'];
  readonly repeat?: PieceElement['repeat'];
  readonly opacity?: number;
}
