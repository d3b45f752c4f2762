import type { Coded, NoValues } from '../base/index.ts';

/** What of a file is drawn by other means than its own, by code. */
export interface ArtNotes {
  /** It moves: the first of so many pictures is taken. */
  'first-frame': { frames: number };
  /** Blurs, shadows and other filters became pixels. */
  'filters-as-pixels': NoValues;
  /** Its inks became colours by a formula, since it does not say which inks they are. */
  'inks-by-formula': NoValues;
  /** The layers of an outline that has several: which of them are of use is for people to know. */
  layers: { names: readonly string[] };
  /** Nothing is to be seen in it. */
  'one-color': NoValues;
  /** A pattern of very many tiles became pixels. */
  'patterns-as-pixels': NoValues;
  /** The file says how its colours are meant in a way that is not known: they are taken for sRGB. */
  'profile-unread': NoValues;
  /** Letters of a typeface that is not here. */
  'typeface-instead': { name: string; instead: string };
}
export type ArtNote = Coded<ArtNotes>;
