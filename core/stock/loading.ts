import type { PaperSide, Tray } from './printer.ts';

/** Which side of a sheet in a tray is printed, and which end of the page is at the end that goes in first. */
export type Feed = NonNullable<Tray['feed']>;

/** How a sheet is laid into a tray. */
export interface Loading {
  /** Where the side looks that is printed now. */
  readonly printed: Feed['printed'];
  /** Which end of the first side goes in first; absent where a sheet lies across, which no test page tells. */
  readonly first?: Feed['first'];
  /** Which end of the page that is printed now goes in first. */
  readonly page?: Feed['first'];
}

/**
 * How a sheet has to lie in a tray to be printed on one of its sides.
 * @param turned on which of its edges a sheet is turned over for its other side
 */
export function loadingOf(
  feed: Feed,
  { width, height }: { readonly width: number; readonly height: number },
  side: PaperSide,
  turned: 'long' | 'short' = 'long',
): Loading {
  const { printed, first } = feed;
  if (width > height) return { printed };
  // Turned about its long side the top stays where it was; about its short side it changes ends.
  const stays = side === 'front' || turned === 'long';
  return { printed, first: stays ? first : first === 'top' ? 'bottom' : 'top', page: first };
}
