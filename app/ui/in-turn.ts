import pLimit from 'p-limit';

/** Does so much at once of what it is given; the rest has its turn later, in the order in which it came. */
export const inTurn = (atOnce: number): (<T>(work: () => Promise<T>) => Promise<T>) =>
  pLimit(atOnce);
