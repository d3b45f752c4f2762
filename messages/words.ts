import type { Coded } from '../core/base/index.ts';

/** Words for each code of a table of values. */
export type Words<V, W = string> = { readonly [C in keyof V]: (values: Readonly<V[C]>) => W };

/** The words for something coded. */
export const wordsFor = <V, W>(table: Words<V, W>, { code, values }: Coded<V>): W =>
  table[code](values);
