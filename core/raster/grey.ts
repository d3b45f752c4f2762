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

/** A grey picture in colours, to be shown. */
export function greyToRgba({ width, height, data: grey }: GreyImage): RgbaImage {
  const data = new Uint8ClampedArray(grey.length * 4);
  for (let at = 0, to = 0; at < grey.length; at++, to += 4) {
    const value = grey[at] as number;
    data[to] = value;
    data[to + 1] = value;
    data[to + 2] = value;
    data[to + 3] = 255;
  }
  return { width, height, data };
}

/** Each pixel as the mean of the square of `2 radius + 1` pixels about it; at the sides of what there is of it. */
export function boxBlur({ width, height, data }: GreyImage, radius: number): GreyImage {
  const shares = (length: number): Float64Array =>
    Float64Array.from(
      { length },
      (_, at) => 1 / (min(at + radius, length - 1) - max(at - radius, 0) + 1),
    );
  const [acrossShare, downShare] = [shares(width), shares(height)];
  const across = new Float32Array(data.length);
  const ahead = min(radius, width);
  for (let y = 0; y < height; y++) {
    const row = y * width;
    let sum = 0;
    for (let x = 0; x < ahead; x++) sum += data[row + x] as number;
    for (let x = 0; x < width; x++) {
      if (x + radius < width) sum += data[row + x + radius] as number;
      if (x > radius) sum -= data[row + x - radius - 1] as number;
      across[row + x] = sum * (acrossShare[x] as number);
    }
  }
  // Down all columns at once: row by row is how they lie in memory.
  const sums = new Float64Array(width);
  const both = new Float32Array(data.length);
  const lead = min(radius, height) * width;
  for (let at = 0; at < lead; at++) {
    const x = at % width;
    sums[x] = (sums[x] as number) + (across[at] as number);
  }
  for (let y = 0; y < height; y++) {
    const row = y * width;
    const share = downShare[y] as number;
    const next = y + radius < height ? row + radius * width : -1;
    const gone = y > radius ? row - (radius + 1) * width : -1;
    for (let x = 0; x < width; x++) {
      let sum = sums[x] as number;
      if (next >= 0) sum += across[next + x] as number;
      if (gone >= 0) sum -= across[gone + x] as number;
      sums[x] = sum;
      both[row + x] = sum * share;
    }
  }
  return { width, height, data: both };
}

/**
 * A normal blur with a standard deviation in pixels, by three box blurs.
 * Source: W3C Filter Effects Module Level 1, feGaussianBlur; box sizes after Wells 1986.
 */
export function gaussianBlur(image: GreyImage, deviation: number): GreyImage {
  if (deviation < 0.3) return image;
  // Three boxes of 2 r + 1 pixels have a variance of r (r + 1); the radii share what is wanted.
  const radius = (Math.sqrt(1 + 4 * deviation * deviation) - 1) / 2;
  const small = floor(radius);
  const spare = (deviation * deviation - small * (small + 1)) / (2 * (small + 1));
  const larger = Math.round(spare * 3);
  let blurred = image;
  for (let round = 0; round < 3; round++)
    blurred = boxBlur(blurred, round < larger ? small + 1 : small);
  return blurred;
}
