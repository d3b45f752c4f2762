/**
 * Something for a person to read, before it has words: what it is, as a stable code, and what it is
 * about. The words stand apart, in `messages/`, typed by the same table of values `V`.
 */
export type Coded<V> = {
  [C in keyof V]: { readonly code: C; readonly values: Readonly<V[C]> };
}[keyof V];

/** The values of something that is about nothing but itself. */
export type NoValues = Readonly<Record<never, never>>;
