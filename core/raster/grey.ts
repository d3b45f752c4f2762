import type { Perspective } from '../geometry/index.ts';
import { darkness, type RgbaImage } from './image.ts';

/** A picture in grey: 0 is black, 255 white; row by row from the top. */
export interface GreyImage {
  readonly width: number;
  readonly height: number;
  readonly data: Float32Array;
}

const { floor, max, min } = Math;

/**
 * A picture as it is seen through a perspective map, in grey, with bilinear sampling.
 * @param back from pixels of the new picture to pixels of the old one; what lies outside is repeated
 */
export function rectifyGrey(
  image: RgbaImage,
  back: Perspective,
  { width, height }: { width: number; height: number },
): GreyImage {
  const dark = darkness(image);
  const data = new Float32Array(width * height);
  const [a, b, c, d, e, f, g, h] = back;
  const [wide, high] = [image.width, image.height];
  for (let y = 0, to = 0; y < height; y++)
    for (let x = 0; x < width; x++, to++) {
      const px = x + 0.5;
      const py = y + 0.5;
      const w = g * px + h * py + 1;
      const u = max(0, min(wide - 1.001, (a * px + b * py + c) / w - 0.5));
      const v = max(0, min(high - 1.001, (d * px + e * py + f) / w - 0.5));
      const left = floor(u);
      const top = floor(v);
      const du = u - left;
      const dv = v - top;
      const from = top * wide + left;
      const upper = (dark[from] as number) * (1 - du) + (dark[from + 1] as number) * du;
      const lower =
        (dark[from + wide] as number) * (1 - du) + (dark[from + wide + 1] as number) * du;
      data[to] = 255 - upper * (1 - dv) - lower * dv;
    }
  return { width, height, data };
}

/** Each pixel as the mean of the square of `2 radius + 1` pixels about it; at the sides of what there is of it. */
export function boxBlur({ width, height, data }: GreyImage, radius: number): GreyImage {
  const across = new Float32Array(data.length);
  for (let y = 0; y < height; y++) {
    const row = y * width;
    let sum = 0;
    for (let x = 0; x < min(radius, width); x++) sum += data[row + x] as number;
    for (let x = 0; x < width; x++) {
      if (x + radius < width) sum += data[row + x + radius] as number;
      if (x > radius) sum -= data[row + x - radius - 1] as number;
      across[row + x] = sum / (min(x + radius, width - 1) - max(x - radius, 0) + 1);
    }
  }
  // Down all columns at once: row by row is how they lie in memory.
  const sums = new Float64Array(width);
  const both = new Float32Array(data.length);
  const add = (y: number, sign: 1 | -1): void => {
    const row = y * width;
    for (let x = 0; x < width; x++)
      sums[x] = (sums[x] as number) + sign * (across[row + x] as number);
  };
  for (let y = 0; y < min(radius, height); y++) add(y, 1);
  for (let y = 0; y < height; y++) {
    if (y + radius < height) add(y + radius, 1);
    if (y > radius) add(y - radius - 1, -1);
    const count = min(y + radius, height - 1) - max(y - radius, 0) + 1;
    for (let x = 0; x < width; x++) both[y * width + x] = (sums[x] as number) / count;
  }
  return { width, height, data: both };
}
