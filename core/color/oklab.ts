import { LINEAR, rgbOf } from './color.ts';

const { cbrt, sqrt } = Math;

/** A colour in which equal distances look equally different. Source: B. Ottosson, OKLab (2020). */
export interface Oklab {
  readonly l: number;
  readonly a: number;
  readonly b: number;
}

/** The OKLab colour of sRGB bytes. */
export function oklabOfBytes(red: number, green: number, blue: number): Oklab {
  const r = LINEAR[red] ?? 0;
  const g = LINEAR[green] ?? 0;
  const b = LINEAR[blue] ?? 0;
  const l = cbrt(0.4122214708 * r + 0.5363325363 * g + 0.0514459929 * b);
  const m = cbrt(0.2119034982 * r + 0.6806995451 * g + 0.1073969566 * b);
  const s = cbrt(0.0883024619 * r + 0.2817188376 * g + 0.6299787005 * b);
  return {
    l: 0.2104542553 * l + 0.793617785 * m - 0.0040720468 * s,
    a: 1.9779984951 * l - 2.428592205 * m + 0.4505937099 * s,
    b: 0.0259040371 * l + 0.7827717662 * m - 0.808675766 * s,
  };
}

/** The OKLab colour of `#rrggbb`. */
export function oklabOfHex(hex: string): Oklab {
  const { r, g, b } = rgbOf(hex);
  return oklabOfBytes(Math.round(r * 255), Math.round(g * 255), Math.round(b * 255));
}

/** How different two colours look: 0 the same, 1 black and white. */
export function oklabDistance(one: Oklab, other: Oklab): number {
  const l = one.l - other.l;
  const a = one.a - other.a;
  const b = one.b - other.b;
  return sqrt(l * l + a * a + b * b);
}

/** OKLab colours of many pixels: a colour that was met lately is not worked out again. */
export function oklabReader(): (red: number, green: number, blue: number) => Oklab {
  const SLOTS = 1 << 15;
  const keys = new Int32Array(SLOTS).fill(-1);
  const values = new Array<Oklab>(SLOTS);
  return (red, green, blue) => {
    const key = (red << 16) | (green << 8) | blue;
    const slot = ((red << 9) ^ (green << 5) ^ (blue << 1) ^ (red >> 3) ^ (blue >> 2)) & (SLOTS - 1);
    if (keys[slot] === key) return values[slot] as Oklab;
    const made = oklabOfBytes(red, green, blue);
    keys[slot] = key;
    values[slot] = made;
    return made;
  };
}
