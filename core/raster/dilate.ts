const { ceil, floor, max, min, sqrt } = Math;

/**
 * The pixels of a mask and all within `radius` pixels of one: a disc is stamped on each pixel of the
 * mask's border.
 * @param mask one byte a pixel, row by row; not 0 is inside
 * @returns a mask of the same size, 1 inside
 */
export function dilateMask(mask: Uint8Array, width: number, radius: number): Uint8Array {
  const height = mask.length / width;
  const grown = new Uint8Array(mask.length);
  const reach = ceil(radius);
  const half = new Int32Array(2 * reach + 1).map((_, row) => {
    const y = row - reach;
    return y * y > radius * radius ? -1 : floor(sqrt(radius * radius - y * y));
  });
  for (let y = 0, at = 0; y < height; y++) {
    for (let x = 0; x < width; x++, at++) {
      if (!mask[at]) continue;
      grown[at] = 1;
      const inner = x > 0 && x + 1 < width && y > 0 && y + 1 < height;
      if (inner && mask[at - 1] && mask[at + 1] && mask[at - width] && mask[at + width]) continue;
      for (let row = max(0, y - reach); row <= min(height - 1, y + reach); row++) {
        const span = half[row - y + reach] ?? -1;
        if (span < 0) continue;
        grown.fill(1, row * width + max(0, x - span), row * width + min(width - 1, x + span) + 1);
      }
    }
  }
  return grown;
}
