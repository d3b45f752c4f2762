const { cos, log, PI, sqrt } = Math;

/** A source of seeded chance: the same seed gives the same numbers on every machine. */
export interface Random {
  /** A number in [0, 1). */
  next(): number;
  /** A number from the normal distribution with mean 0 and deviation 1. */
  normal(): number;
}

/**
 * Source: M. E. O'Neill's review of small generators; the mixing is Jenkins' sfc32 with a
 * 32-bit seed spread by a Weyl sequence.
 */
export function seededRandom(seed: number): Random {
  let a = 0x9e3779b9;
  let b = 0x243f6a88;
  let c = seed | 0;
  let counter = 1;
  const next = (): number => {
    const sum = (a + b + counter) | 0;
    counter = (counter + 1) | 0;
    a = b ^ (b >>> 9);
    b = (c + (c << 3)) | 0;
    c = ((c << 21) | (c >>> 11)) + sum;
    return (sum >>> 0) / 4294967296;
  };
  for (let round = 0; round < 15; round++) next();
  const normal = (): number => sqrt(-2 * log(1 - next())) * cos(2 * PI * next());
  return { next, normal };
}
