const { max, min, round } = Math;

/** A colour in sRGB, each channel from 0 to 1. */
export interface Rgb {
  readonly r: number;
  readonly g: number;
  readonly b: number;
}

/** Reads `#rgb` or `#rrggbb`; undefined for anything else. */
export function findRgb(hex: string): Rgb | undefined {
  const short = /^#?([0-9a-f])([0-9a-f])([0-9a-f])$/i.exec(hex.trim());
  const full = short
    ? `${short[1]}${short[1]}${short[2]}${short[2]}${short[3]}${short[3]}`
    : /^#?([0-9a-f]{6})$/i.exec(hex.trim())?.[1];
  if (!full) return undefined;
  const channel = (at: number): number => parseInt(full.slice(at, at + 2), 16) / 255;
  return { r: channel(0), g: channel(2), b: channel(4) };
}

/** Reads a colour that a schema has already checked; black when it is none. */
export function rgbOf(hex: string): Rgb {
  return findRgb(hex) ?? { r: 0, g: 0, b: 0 };
}

/** Writes a colour as `#rrggbb`. */
export function toHex({ r, g, b }: Rgb): string {
  const channel = (value: number): string =>
    round(min(1, max(0, value)) * 255)
      .toString(16)
      .padStart(2, '0');
  return `#${channel(r)}${channel(g)}${channel(b)}`;
}

/** The share of light of a channel as sRGB stores it; both from 0 to 1. Source: IEC 61966-2-1. */
export const linear = (value: number): number =>
  value <= 0.04045 ? value / 12.92 : ((value + 0.055) / 1.055) ** 2.4;

/** The linear share of light of each sRGB byte. */
export const LINEAR = Float64Array.from({ length: 256 }, (_, byte) => linear(byte / 255));

/** Relative luminance, 0 to 1. Source: WCAG 2.2, “relative luminance”. */
export function luminance({ r, g, b }: Rgb): number {
  return 0.2126 * linear(r) + 0.7152 * linear(g) + 0.0722 * linear(b);
}

/** Relative luminance of three bytes; the same as {@link luminance}, for loops over pixels. */
export function luminanceOfBytes(r: number, g: number, b: number): number {
  return 0.2126 * (LINEAR[r] ?? 0) + 0.7152 * (LINEAR[g] ?? 0) + 0.0722 * (LINEAR[b] ?? 0);
}

/** Contrast ratio of two luminances, 1 to 21. Source: WCAG 2.2, “contrast ratio”. */
export function contrastRatio(one: number, other: number): number {
  return (max(one, other) + 0.05) / (min(one, other) + 0.05);
}
