import { readXyz, WHITE } from './connected.ts';
import {
  inverted,
  multiplied,
  primariesMatrix,
  SRGB_PRIMARIES,
  transformed,
  type ColorProfile,
  type Matrix,
  type TableProfile,
} from './profile.ts';
import type { BytesReader } from './table.ts';

/** Steps of light for which the byte of sRGB is known: a byte spans three of them where it is darkest. */
const STEPS = 16384;

const BYTES = Uint8ClampedArray.from({ length: STEPS + 1 }, (_, at) => {
  const light = at / STEPS;
  return 255 * (light <= 0.0031308 ? 12.92 * light : 1.055 * light ** (1 / 2.4) - 0.055);
});

const byteAt = (step: number): number =>
  BYTES[step <= 0 ? 0 : step >= STEPS ? STEPS : (step + 0.5) | 0] as number;
type Parts = readonly [Float64Array, Float64Array, Float64Array];

/**
 * Turns pixels of a profile (RGBA, 8 bit) into sRGB where they are: relative colorimetric, what sRGB
 * does not have goes to its border. Undefined for a profile that is sRGB but for rounding.
 */
export function srgbConverter(
  profile: ColorProfile,
): ((pixels: Uint8ClampedArray) => void) | undefined {
  if ('table' in profile)
    return profile.table.inputs === 3 ? (pixels) => convertByTable(profile, pixels) : undefined;
  const matrix = multiplied(FROM_XYZ, profile.matrix);
  const [red, green, blue] = profile.curves.map((curve) =>
    Float64Array.from({ length: 256 }, (_, at) => curve(at / 255)),
  ) as [Float64Array, Float64Array, Float64Array];
  const convert = (pixels: Uint8ClampedArray): void =>
    convertAll(pixels, matrix, [red, green, blue]);
  return isPlain(convert) ? undefined : convert;
}

const FROM_XYZ = fromXyz();

function fromXyz(): Matrix {
  const srgb = primariesMatrix(SRGB_PRIMARIES);
  const back = srgb && inverted(srgb);
  if (!back) throw new Error('sRGB has no colours');
  return back;
}

/** As bytes of sRGB; beyond what it has the curve goes on, so that what lies between nodes is true. */
function encoded(light: number): number {
  const size = Math.abs(light);
  const value = size <= 0.0031308 ? 12.92 * size : 1.055 * size ** (1 / 2.4) - 0.055;
  return 255 * Math.sign(light) * value;
}

/** Reads colours of a table as bytes of sRGB, its black made black (ISO 18619). */
function byteReader({ table, space, black }: TableProfile): BytesReader {
  const scaled = (value: number, at: 0 | 1 | 2): number =>
    (WHITE[at] * (value - black[at])) / (WHITE[at] - black[at]);
  return table.baked((made) => {
    const [x, y, z] = readXyz(table, space, made);
    const [r, g, b] = transformed(FROM_XYZ, [scaled(x, 0), scaled(y, 1), scaled(z, 2)]);
    return [encoded(r), encoded(g), encoded(b)];
  });
}

function convertByTable(profile: TableProfile, pixels: Uint8ClampedArray): void {
  const read = byteReader(profile);
  const made = new Float64Array(3);
  for (let at = 0; at < pixels.length; at += 4) {
    read(pixels, at, made);
    for (let c = 0; c < 3; c++) pixels[at + c] = made[c] as number;
  }
}

/**
 * Pixels of inks (cyan, magenta, yellow, black; 255 is all of one) as sRGB, opaque: by their profile,
 * relative colorimetric with black made black, or else by the plain formula of CSS Color 5 (device-cmyk):
 * what each ink and black leave of the light.
 */
export function srgbOfInks(inks: Uint8Array, profile: TableProfile | undefined): Uint8ClampedArray {
  const pixels = new Uint8ClampedArray(inks.length).fill(255);
  const read = profile ? byteReader(profile) : leftOfLight;
  const made = new Float64Array(3);
  for (let at = 0; at < inks.length; at += 4) {
    read(inks, at, made);
    for (let c = 0; c < 3; c++) pixels[at + c] = made[c] as number;
  }
  return pixels;
}

const leftOfLight: BytesReader = (inks, at, made) => {
  const light = 255 - (inks[at + 3] as number);
  for (let c = 0; c < 3; c++) made[c] = ((255 - (inks[at + c] as number)) * light) / 255;
};

function convertAll(
  pixels: Uint8ClampedArray,
  matrix: Matrix,
  [red, green, blue]: readonly [Float64Array, Float64Array, Float64Array],
): void {
  // What each byte adds to each sum, in steps.
  const parts = ([x, y, z]: Matrix[0]): Parts => [
    red.map((light) => light * x * STEPS),
    green.map((light) => light * y * STEPS),
    blue.map((light) => light * z * STEPS),
  ];
  const [[a, b, c], [d, e, f], [g, h, i]] = [parts(matrix[0]), parts(matrix[1]), parts(matrix[2])];
  for (let at = 0; at < pixels.length; at += 4) {
    const x = pixels[at] as number;
    const y = pixels[at + 1] as number;
    const z = pixels[at + 2] as number;
    pixels[at] = byteAt((a[x] as number) + (b[y] as number) + (c[z] as number));
    pixels[at + 1] = byteAt((d[x] as number) + (e[y] as number) + (f[z] as number));
    pixels[at + 2] = byteAt((g[x] as number) + (h[y] as number) + (i[z] as number));
  }
}

/** Whether a conversion leaves colours of all kinds as they are, to two steps of a byte. */
function isPlain(convert: (pixels: Uint8ClampedArray) => void): boolean {
  const levels = [0, 16, 48, 96, 144, 192, 224, 255];
  const probe = Uint8ClampedArray.from(
    levels.flatMap((r) => levels.flatMap((g) => levels.flatMap((b) => [r, g, b, 255]))),
  );
  const made = probe.slice();
  convert(made);
  return made.every((value, at) => Math.abs(value - (probe[at] ?? 0)) <= 2);
}
