/** Thresholds of an ordered dither, in 64ths. Source: B. E. Bayer 1973. */
const BAYER = Array.from({ length: 64 }, (_, at) => {
  let rank = 0;
  for (let bit = 0; bit < 3; bit++) {
    const [x, y] = [(at >> bit) & 1, (at >> (bit + 3)) & 1];
    rank = (rank << 2) | ((x ^ y) << 1) | y;
  }
  return (rank + 0.5) / 64;
});

/**
 * A sample of 16 bits in 8, up or down by its place, so that slow changes do not become steps; what 8 bits
 * can say is said exactly.
 */
export const dithered = (sample: number, x: number, y: number): number =>
  Math.floor(sample / 257 + (BAYER[(x & 7) | ((y & 7) << 3)] as number));
