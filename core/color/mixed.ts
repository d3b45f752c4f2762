import { rgbOf, toHex } from './color.ts';

/** A colour some way from one to another: at 0 the one, at 1 the other; mixed as sRGB values. */
export function mixed(one: string, other: string, share: number): string {
  const [from, to] = [rgbOf(one), rgbOf(other)];
  const between = (a: number, b: number): number => a + (b - a) * share;
  return toHex({ r: between(from.r, to.r), g: between(from.g, to.g), b: between(from.b, to.b) });
}
