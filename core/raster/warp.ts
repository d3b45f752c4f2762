import type { Affine } from '../geometry/index.ts';
import { blankImage, type RgbaImage } from './image.ts';

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
  const { width, height } = image;
  const [source, target] = [wordsOf(image), wordsOf(made)];
  const [a, b, c, d, e, f] = back;
  for (let y = 0, to = 0; y < size.height; y++) {
    for (let x = 0; x < size.width; x++, to++) {
      const u = a * (x + 0.5) + c * (y + 0.5) + e - 0.5;
      const v = b * (x + 0.5) + d * (y + 0.5) + f - 0.5;
      const left = floor(u);
      const top = floor(v);
      if (left < 0 || top < 0 || left + 1 >= width || top + 1 >= height) continue;
      const from = top * width + left;
      const color = source[from] as number;
      // Plain paper, as most of a sheet is.
      const even =
        color === source[from + 1] &&
        color === source[from + width] &&
        color === source[from + width + 1];
      if (even) target[to] = color;
      else samplePixel(image, { from: from * 4, x: u - left, y: v - top }, made.data, to * 4);
    }
  }
  return made;
}

/** The pixels of an image as one number each. */
function wordsOf({ data }: RgbaImage): Uint32Array {
  const plain = data.byteOffset % 4 === 0 ? data : data.slice();
  return new Uint32Array(plain.buffer, plain.byteOffset, plain.length / 4);
}

/** Writes the bilinear sample between the pixel `from` and its neighbours into `target`. */
function samplePixel(
  { width, data }: RgbaImage,
  { from, x, y }: { from: number; x: number; y: number },
  target: Uint8ClampedArray,
  to: number,
): void {
  const below = from + width * 4;
  for (let channel = 0; channel < 4; channel++) {
    const upper = (data[from + channel] ?? 0) * (1 - x) + (data[from + 4 + channel] ?? 0) * x;
    const lower = (data[below + channel] ?? 0) * (1 - x) + (data[below + 4 + channel] ?? 0) * x;
    target[to + channel] = upper * (1 - y) + lower * y;
  }
}
