/** A step on the way to where something stands in a job, from the whole to its parts. */
export type PlaceStep =
  | { readonly of: 'part' | 'field'; readonly name: string }
  | { readonly of: 'art' | 'typeface'; readonly name?: string }
  | { readonly of: 'piece'; readonly number: number; readonly name?: string }
  | {
      readonly of: 'element';
      readonly number: number;
      readonly kind?: string;
      readonly title?: string;
    }
  | { readonly of: 'row'; readonly number: number };

/** Where in a job something stands; numbers of pieces, elements and rows are from 1. */
export type JobPlace = readonly PlaceStep[];
