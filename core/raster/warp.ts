import type { Affine } from '../geometry/index.ts';
import type { RgbaImage } from './image.ts';
import { blankImage } from './image.ts';

const { floor } = Math;

/**
 * Draws an image anew under a map, with bilinear sampling.
 * @param back the map from pixels of the new image to pixels of the old one
 * @param paper the colour where the old image ends
 */
export function warpImage(
  image: RgbaImage,
  back: Affine,
  size: { width: number; height: number },
  paper: readonly [number, number, number, number] = [255, 255, 255, 255],
): RgbaImage {
  const made = blankImage(size.width, size.height, paper);
  const [a, b, c, d, e, f] = back;
  for (let y = 0, to = 0; y < size.height; y++) {
    for (let x = 0; x < size.width; x++, to += 4) {
      const u = a * (x + 0.5) + c * (y + 0.5) + e - 0.5;
      const v = b * (x + 0.5) + d * (y + 0.5) + f - 0.5;
      samplePixel(image, u, v, made.data, to);
    }
  }
  return made;
}

/** Writes the bilinear sample at `u`, `v` into `target`; leaves it as it is outside the image. */
// Five plain arguments: an object for each pixel would cost more than the sampling.
// eslint-disable-next-line max-params
function samplePixel(
  { width, height, data }: RgbaImage,
  u: number,
  v: number,
  target: Uint8ClampedArray,
  to: number,
): void {
  const left = floor(u);
  const top = floor(v);
  if (left < 0 || top < 0 || left + 1 >= width || top + 1 >= height) return;
  const x = u - left;
  const y = v - top;
  const from = (top * width + left) * 4;
  const below = from + width * 4;
  for (let channel = 0; channel < 4; channel++) {
    const upper = (data[from + channel] ?? 0) * (1 - x) + (data[from + 4 + channel] ?? 0) * x;
    const lower = (data[below + channel] ?? 0) * (1 - x) + (data[below + 4 + channel] ?? 0) * x;
    target[to + channel] = upper * (1 - y) + lower * y;
  }
}
