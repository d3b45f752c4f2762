import type { ColorTable } from './table.ts';

/** A colour about the white of D50, in which profiles are connected. */
export type Xyz = readonly [number, number, number];

export const WHITE: Xyz = [0.9642, 1, 0.8249];
const LAB_LEGACY = 65535 / 65280; // of tables of 16 bit, whose white is FF00

/** Source: CIE 15, 8.2.1. */
export function xyzOfLab(lightness: number, a: number, b: number): Xyz {
  const y = (lightness + 16) / 116;
  return [
    WHITE[0] * fromRoot(y + a / 500),
    WHITE[1] * fromRoot(y),
    WHITE[2] * fromRoot(y - b / 200),
  ];
}
const fromRoot = (value: number): number =>
  value > 6 / 29 ? value ** 3 : 3 * (6 / 29) ** 2 * (value - 4 / 29);

/** What comes out of a table, as a colour. */
export function readXyz(table: ColorTable, space: 'Lab ' | 'XYZ ', made: Float64Array): Xyz {
  const [x = 0, y = 0, z = 0] = made;
  if (space === 'XYZ ') return [x * XYZ_RANGE, y * XYZ_RANGE, z * XYZ_RANGE];
  const scale = table.isFine ? LAB_LEGACY : 1;
  return xyzOfLab(x * 100 * scale, y * 255 * scale - 128, z * 255 * scale - 128);
}
const XYZ_RANGE = 1 + 32767 / 32768;

/** Black as tables that lead back take it. */
export const labBlack = ({ isFine }: ColorTable): Xyz => {
  const middle = 128 / (255 * (isFine ? LAB_LEGACY : 1));
  return [0, middle, middle];
};

const DARKEST_WHITE = 50; // of lightness: a black that is paler is none

/** A neutral black as light as a colour, but no paler than half. */
export function neutralBlack([, y]: Xyz): Xyz {
  const root = y > (6 / 29) ** 3 ? Math.cbrt(y) : y / (3 * (6 / 29) ** 2) + 4 / 29;
  return xyzOfLab(Math.min(DARKEST_WHITE, Math.max(0, 116 * root - 16)), 0, 0);
}
