import { LINEAR } from '../color/index.ts';
import { shrunkImage, type RgbaImage } from '../raster/index.ts';

const { cbrt, max, round, sqrt } = Math;

/** How many pixels a picture has at most while its subject is looked for. */
export const WORKING_PIXELS = 500_000;

/** A picture at the size at which its subject is looked for, in OKLab. */
export interface WorkingImage {
  readonly width: number;
  readonly height: number;
  /** Pixels of the picture for each of these. */
  readonly scale: number;
  /** Lightness and the two axes of colour of each pixel. */
  readonly lab: Float32Array;
  readonly palette: Palette;
}

/** The colours of a picture, each for all that are nearly the same. */
export interface Palette {
  readonly count: number;
  /** Which of them each pixel has. */
  readonly of: Int32Array;
  /** Their mean, three numbers each. */
  readonly colors: Float64Array;
}

/** A picture at its working size. */
export function workingImage(image: RgbaImage): WorkingImage {
  const scale = max(1, sqrt((image.width * image.height) / WORKING_PIXELS));
  const small = scale === 1 ? image : shrunkImage(image, scale);
  const { width, height } = small;
  const lab = labOf(small);
  return { width, height, scale: image.width / width, lab, palette: paletteOf(lab) };
}

/** The colours of pixels in OKLab, three numbers each; what is clear is taken for white. */
export function labOf({ data }: RgbaImage): Float32Array {
  const lab = new Float32Array((data.length / 4) * 3);
  for (let from = 0, to = 0; from < data.length; from += 4, to += 3) putLab(data, from, lab, to);
  return lab;
}

/** Puts the colour of a pixel into `lab`, where it has its three numbers from `to` on. */
export function putLab(
  data: Uint8ClampedArray,
  from: number,
  lab: Float32Array | Float64Array,
  to: number,
): void {
  const alpha = data[from + 3] as number;
  const light = (at: number): number =>
    LINEAR[
      alpha === 255
        ? (data[at] as number)
        : round(255 + (((data[at] as number) - 255) * alpha) / 255)
    ] as number;
  const [r, g, b] = [light(from), light(from + 1), light(from + 2)];
  const l = cbrt(0.4122214708 * r + 0.5363325363 * g + 0.0514459929 * b);
  const m = cbrt(0.2119034982 * r + 0.6806995451 * g + 0.1073969566 * b);
  const s = cbrt(0.0883024619 * r + 0.2817188376 * g + 0.6299787005 * b);
  lab[to] = 0.2104542553 * l + 0.793617785 * m - 0.0040720468 * s;
  lab[to + 1] = 1.9779984951 * l - 2.428592205 * m + 0.4505937099 * s;
  lab[to + 2] = 0.0259040371 * l + 0.7827717662 * m - 0.808675766 * s;
}

/** Colours that are nearer than that are one. */
const QUANTUM = 0.02;
const LEVELS = 64; // along each axis

function paletteOf(lab: Float32Array): Palette {
  const pixels = lab.length / 3;
  const slots = new Int32Array(LEVELS ** 3).fill(-1);
  const of = new Int32Array(pixels);
  const sums: number[] = [];
  let count = 0;
  for (let pixel = 0, at = 0; pixel < pixels; pixel++, at += 3) {
    const [l, a, b] = [lab[at] as number, lab[at + 1] as number, lab[at + 2] as number];
    const slot =
      (level(l) * LEVELS + level(a + (LEVELS * QUANTUM) / 2)) * LEVELS +
      level(b + (LEVELS * QUANTUM) / 2);
    let color = slots[slot] as number;
    if (color < 0) {
      color = slots[slot] = count++;
      sums.push(0, 0, 0, 0);
    }
    of[pixel] = color;
    const sum = color * 4;
    sums[sum] = (sums[sum] as number) + l;
    sums[sum + 1] = (sums[sum + 1] as number) + a;
    sums[sum + 2] = (sums[sum + 2] as number) + b;
    sums[sum + 3] = (sums[sum + 3] as number) + 1;
  }
  const colors = new Float64Array(count * 3);
  for (let color = 0; color < count; color++)
    for (let c = 0; c < 3; c++)
      colors[color * 3 + c] = (sums[color * 4 + c] as number) / (sums[color * 4 + 3] as number);
  return { count, of, colors };
}

const level = (value: number): number =>
  value <= 0 ? 0 : Math.min(LEVELS - 1, (value / QUANTUM) | 0);
