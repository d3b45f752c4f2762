import type { Xyz } from './connected.ts';
import type { ToneCurve } from './curve.ts';
import type { ColorTable } from './table.ts';

/** A row for each of X, Y and Z, a column for each channel. */
export type Matrix = readonly [
  readonly [number, number, number],
  readonly [number, number, number],
  readonly [number, number, number],
];

/** How the numbers of a picture become colours. */
export type ColorProfile = CurveProfile | TableProfile;

/** By a table from their channels, which are light or inks, to the space of connection. */
export interface TableProfile {
  readonly table: ColorTable;
  readonly space: 'Lab ' | 'XYZ ';
  /** The darkest that it comes to, which is to be black. */
  readonly black: Xyz;
}

/** By a curve a channel, and what light of each comes to. */
export interface CurveProfile {
  readonly curves: readonly [ToneCurve, ToneCurve, ToneCurve];
  /** To XYZ about the white of D50, in which profiles are connected. */
  readonly matrix: Matrix;
}

/** Source: IEC 61966-2-1. */
export const srgbCurve: ToneCurve = (value) =>
  value <= 0.04045 ? value / 12.92 : ((value + 0.055) / 1.055) ** 2.4;

/** Chromaticities of red, green, blue and white, x and y each. */
export interface Primaries {
  readonly red: readonly [number, number];
  readonly green: readonly [number, number];
  readonly blue: readonly [number, number];
  readonly white: readonly [number, number];
}

const D65 = [0.3127, 0.329] as const;
export const SRGB_PRIMARIES: Primaries = {
  red: [0.64, 0.33],
  green: [0.3, 0.6],
  blue: [0.15, 0.06],
  white: D65,
};
/** Source: SMPTE EG 432-1, with the white of a screen. */
export const P3_PRIMARIES: Primaries = {
  red: [0.68, 0.32],
  green: [0.265, 0.69],
  blue: [0.15, 0.06],
  white: D65,
};

const D50 = [0.9642, 1, 0.8249] as const;
/** Source: K. M. Lam's cone responses, by which whites are adapted (ICC.1:2022, annex E). */
const BRADFORD: Matrix = [
  [0.8951, 0.2664, -0.1614],
  [-0.7502, 1.7135, 0.0367],
  [0.0389, -0.0685, 1.0296],
];

type Vector = readonly [number, number, number];

/** A matrix times a column. */
export const transformed = ([a, b, c]: Matrix, [x, y, z]: Vector): Vector => [
  a[0] * x + a[1] * y + a[2] * z,
  b[0] * x + b[1] * y + b[2] * z,
  c[0] * x + c[1] * y + c[2] * z,
];

/** One matrix after another. */
export function multiplied(outer: Matrix, inner: Matrix): Matrix {
  const column = (at: 0 | 1 | 2): Vector =>
    transformed(outer, [inner[0][at], inner[1][at], inner[2][at]]);
  const [one, two, three] = [column(0), column(1), column(2)];
  return [
    [one[0], two[0], three[0]],
    [one[1], two[1], three[1]],
    [one[2], two[2], three[2]],
  ];
}

/** The matrix that undoes another; undefined for one that has no such. */
export function inverted([[a, b, c], [d, e, f], [g, h, i]]: Matrix): Matrix | undefined {
  const [A, B, C] = [e * i - f * h, f * g - d * i, d * h - e * g];
  const det = a * A + b * B + c * C;
  if (!(Math.abs(det) > 1e-9)) return undefined;
  return [
    [A / det, (c * h - b * i) / det, (b * f - c * e) / det],
    [B / det, (a * i - c * g) / det, (c * d - a * f) / det],
    [C / det, (b * g - a * h) / det, (a * e - b * d) / det],
  ];
}

const diagonal = ([x, y, z]: Vector): Matrix => [
  [x, 0, 0],
  [0, y, 0],
  [0, 0, z],
];

/** What light of three primaries comes to, adapted to D50; undefined where they span no colours. */
export function primariesMatrix({ red, green, blue, white }: Primaries): Matrix | undefined {
  const xyz = ([x, y]: readonly [number, number]): Vector => [x / y, 1, (1 - x - y) / y];
  if ([red, green, blue, white].some(([, y]) => !(y > 0))) return undefined;
  const [r, g, b] = [xyz(red), xyz(green), xyz(blue)];
  const plain: Matrix = [
    [r[0], g[0], b[0]],
    [r[1], g[1], b[1]],
    [r[2], g[2], b[2]],
  ];
  const back = inverted(plain);
  const cones = inverted(BRADFORD);
  if (!back || !cones) return undefined;
  const own = xyz(white);
  const [from, to] = [transformed(BRADFORD, own), transformed(BRADFORD, D50)];
  const adapted = multiplied(
    cones,
    multiplied(diagonal([to[0] / from[0], to[1] / from[1], to[2] / from[2]]), BRADFORD),
  );
  return multiplied(adapted, multiplied(plain, diagonal(transformed(back, own))));
}
