import { toHex } from './color.ts';
import { oklabOfHex, type Oklab } from './oklab.ts';

/** How the hues of a palette stand to each other. */
export const HARMONIES = ['near', 'opposite', 'thirds', 'shades'] as const;
export type Harmony = (typeof HARMONIES)[number];

/** The hue of a colour in degrees: 0 is pink, 90 yellow, 145 green, 265 blue. */
export function hueOf(hex: string): number {
  const { a, b } = oklabOfHex(hex);
  return ((Math.atan2(b, a) * 180) / Math.PI + 360) % 360;
}

const linear = (value: number): number =>
  value <= 0.0031308 ? 12.92 * value : 1.055 * value ** (1 / 2.4) - 0.055;

/** The sRGB channels of an OKLab colour, which may lie outside 0 to 1. Source: B. Ottosson, OKLab (2020). */
function channelsOf({ l, a, b }: Oklab): [number, number, number] {
  const long = (l + 0.3963377774 * a + 0.2158037573 * b) ** 3;
  const middle = (l - 0.1055613458 * a - 0.0638541728 * b) ** 3;
  const short = (l - 0.0894841775 * a - 1.291485548 * b) ** 3;
  return [
    linear(4.0767416621 * long - 3.3077115913 * middle + 0.2309699292 * short),
    linear(-1.2684380046 * long + 2.6097574011 * middle - 0.3413193965 * short),
    linear(-0.0041960863 * long - 0.7034186147 * middle + 1.707614701 * short),
  ];
}

/**
 * The colour of a lightness (0 to 1), chroma (0 to about 0.3) and hue (degrees), as `#rrggbb`; where
 * a screen has no such colour, one less strong.
 */
export function colorOfHue(lightness: number, chroma: number, hue: number): string {
  const turn = (hue * Math.PI) / 180;
  for (let strong = chroma; ; strong -= 0.005) {
    const c = Math.max(0, strong);
    const [r, g, b] = channelsOf({ l: lightness, a: c * Math.cos(turn), b: c * Math.sin(turn) });
    const inside = [r, g, b].every((value) => value > -0.002 && value < 1.002);
    if (!inside && c > 0) continue;
    const clamp = (value: number): number => Math.min(1, Math.max(0, value));
    return toHex({ r: clamp(r), g: clamp(g), b: clamp(b) });
  }
}

const SECOND: Readonly<Record<Harmony, number>> = {
  near: 40,
  opposite: 180,
  thirds: 120,
  shades: 0,
};
const THIRD: Readonly<Record<Harmony, number>> = {
  near: -30,
  opposite: 30,
  thirds: 240,
  shades: 0,
};

/** A palette for print from a hue: ground, ink, accent, soft and deep. */
export function paletteFromHue(hue: number, harmony: Harmony): string[] {
  const [second, third] = [hue + SECOND[harmony], hue + THIRD[harmony]];
  return [
    colorOfHue(0.955, 0.025, hue),
    colorOfHue(0.3, 0.06, hue),
    colorOfHue(0.56, 0.13, second),
    colorOfHue(0.87, 0.055, third),
    colorOfHue(0.45, 0.1, third),
  ];
}

/**
 * Which colour of a palette stands for each of others: darkest to darkest and lightest to lightest, so
 * that what could be read still can be.
 */
export function matchedColors(
  colors: readonly string[],
  palette: readonly string[],
): Map<string, string> {
  const byLight = (list: readonly string[]): string[] =>
    [...new Set(list)].sort((one, other) => oklabOfHex(one).l - oklabOfHex(other).l);
  const [from, to] = [byLight(colors), byLight(palette)];
  const last = Math.max(1, from.length - 1);
  return new Map(
    from.map((color, at) => [color, to[Math.round((at / last) * (to.length - 1))] ?? color]),
  );
}
