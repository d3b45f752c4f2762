import type { Coded } from '../base/index.ts';

/** What of a file cannot be drawn, by code. */
export interface ArtOmissions {
  colour: { value: string };
  element: { name: string };
  /** Pictures that a file only names, or holds in a kind that is not known. */
  pictures: { count: number };
  'foreign-entities': { count: number };
  'open-lines': { count: number };
}
export type ArtOmission = Coded<ArtOmissions>;
