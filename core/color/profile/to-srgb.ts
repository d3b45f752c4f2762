import {
  inverted,
  multiplied,
  primariesMatrix,
  SRGB_PRIMARIES,
  type ColorProfile,
  type Matrix,
} from './profile.ts';

/** Steps of light for which the byte of sRGB is known: a byte spans three of them where it is darkest. */
const STEPS = 16384;

const BYTES = Uint8ClampedArray.from({ length: STEPS + 1 }, (_, at) => {
  const light = at / STEPS;
  return 255 * (light <= 0.0031308 ? 12.92 * light : 1.055 * light ** (1 / 2.4) - 0.055);
});

const byteOf = (light: number): number =>
  BYTES[light <= 0 ? 0 : light >= 1 ? STEPS : Math.round(light * STEPS)] as number;

/**
 * Turns pixels of a profile (RGBA, 8 bit) into sRGB where they are: relative colorimetric, what sRGB
 * does not have goes to its border. Undefined for a profile that is sRGB but for rounding.
 */
export function srgbConverter(
  profile: ColorProfile,
): ((pixels: Uint8ClampedArray) => void) | undefined {
  const srgb = primariesMatrix(SRGB_PRIMARIES);
  const back = srgb && inverted(srgb);
  if (!back) return undefined;
  const matrix = multiplied(back, profile.matrix);
  const [red, green, blue] = profile.curves.map((curve) =>
    Float64Array.from({ length: 256 }, (_, at) => curve(at / 255)),
  ) as [Float64Array, Float64Array, Float64Array];
  const convert = (pixels: Uint8ClampedArray): void =>
    convertAll(pixels, matrix, [red, green, blue]);
  return isPlain(convert) ? undefined : convert;
}

function convertAll(
  pixels: Uint8ClampedArray,
  matrix: Matrix,
  [red, green, blue]: readonly [Float64Array, Float64Array, Float64Array],
): void {
  const [[a, b, c], [d, e, f], [g, h, i]] = matrix;
  for (let at = 0; at < pixels.length; at += 4) {
    const x = red[pixels[at] as number] as number;
    const y = green[pixels[at + 1] as number] as number;
    const z = blue[pixels[at + 2] as number] as number;
    pixels[at] = byteOf(a * x + b * y + c * z);
    pixels[at + 1] = byteOf(d * x + e * y + f * z);
    pixels[at + 2] = byteOf(g * x + h * y + i * z);
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
