import pLimit from 'p-limit';

/** A queue that runs at most so many tasks at once, in the order in which they come. */
export const inTurn = (atOnce: number): (<T>(work: () => Promise<T>) => Promise<T>) =>
  pLimit(atOnce);
