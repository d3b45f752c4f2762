import type { Pixels } from './second-renderer.ts';

const SIDE = 160;

/** A picture on white in squares. */
function squares({ width, height, data, channels }: Pixels): Float64Array {
  const sums = new Float64Array(SIDE * SIDE * 4);
  for (let y = 0, at = 0; y < height; y++)
    for (let x = 0; x < width; x++, at += channels) {
      const to = (Math.floor((y * SIDE) / height) * SIDE + Math.floor((x * SIDE) / width)) * 4;
      const alpha = channels === 4 ? (data[at + 3] ?? 0) / 255 : 1;
      for (let c = 0; c < 3; c++)
        sums[to + c] = (sums[to + c] ?? 0) + (data[at + c] ?? 0) * alpha + 255 * (1 - alpha);
      sums[to + 3] = (sums[to + 3] ?? 0) + 1;
    }
  return sums.map((sum, at) => sum / (sums[at - (at % 4) + 3] || 1));
}

/** The share of squares that differ by more than 40 of 255 in a colour. */
export function differing(one: Pixels, other: Pixels): number {
  const [a, b] = [squares(one), squares(other)];
  let count = 0;
  for (let at = 0; at < a.length; at += 4)
    if ([0, 1, 2].some((c) => Math.abs((a[at + c] ?? 0) - (b[at + c] ?? 0)) > 40)) count++;
  return count / (SIDE * SIDE);
}
