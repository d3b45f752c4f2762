import { petal, picture, ray, round, shape, stroke } from './svg.ts';

/** The colours of a thistle: three for its tuft, dark to light, and two for its green. */
export interface ThistleColors {
  readonly tuft: readonly [string, string, string];
  readonly leaf: string;
  readonly light: string;
}

const [MIDDLE, NECK] = [30, 27];

/** A thistle in flower, 60 x 72 mm. */
export function thistle({ tuft, leaf, light }: ThistleColors): string {
  return picture(60, 72, [...leaves(leaf), ...flower(tuft), ...head(leaf, light)]);
}

function flower(tuft: ThistleColors['tuft']): string[] {
  const rows = [
    { color: tuft[2], count: 13, spread: 78, length: 24, width: 2.6 },
    { color: tuft[0], count: 12, spread: 66, length: 25.5, width: 2.8 },
    { color: tuft[1], count: 9, spread: 46, length: 26.5, width: 3 },
    { color: tuft[0], count: 4, spread: 18, length: 24, width: 2.4 },
  ];
  return rows.flatMap(({ color, count, spread, length, width }) =>
    Array.from({ length: count }, (_, index) => {
      const share = (index / (count - 1)) * 2 - 1;
      const reach = length * (1 - 0.16 * share * share) + (index % 2) * 1.1;
      const base: [number, number] = [
        round(MIDDLE + share * 4),
        NECK + 3 - (1 - Math.abs(share)) * 1.5,
      ];
      return shape(petal(base, share * spread, { length: reach, width, belly: 0.62 }), color);
    }),
  );
}

function head(leaf: string, light: string): string[] {
  const collar = [-72, -48, -24, 0, 24, 48, 72].map((angle) => {
    const [x, y] = ray(MIDDLE, 36, angle, 7.5);
    return shape(petal([x, y], angle * 0.75, { length: 4.6, width: 2.8, belly: 0.3 }), leaf);
  });
  const body = shape(
    `M${MIDDLE} 46.5C21.5 46.5 19.6 40 20.4 35.6C21.2 31 25 28.4 ${MIDDLE} 28.4C35 28.4 38.8 31 39.6 35.6C40.4 40 38.5 46.5 ${MIDDLE} 46.5Z`,
    leaf,
  );
  const scales = [32.6, 35.9, 39.2, 42.5].map((y, row) => {
    const half = [7.4, 8.4, 8, 5.6][row] ?? 7;
    const steps = row % 2 ? 6 : 7;
    const points = Array.from({ length: steps * 2 + 1 }, (_, index) => {
      const x = MIDDLE - half + (index * half) / steps;
      return `${round(x)} ${round(index % 2 ? y - 1.5 : y)}`;
    });
    return stroke(`M${points.join('L')}`, light, 0.55);
  });
  return [...collar, body, ...scales];
}

function leaves(color: string): string[] {
  const stem = `M${MIDDLE} 44C30.4 54 30.2 62 29.4 70.5`;
  const right =
    'M30.3 63C33 55 38 53.6 41 50.4C42.2 51.8 43.6 51 45.4 48.6C47 50 48.6 49 51.6 46.6C51 49.6 51.6 51 49.6 52.2C50 54.6 47.8 55.6 46 56C45.4 58.4 42.6 59 40.4 59.2C38 61.4 34.6 62.2 30.3 63Z';
  const left =
    'M29.8 66C27 58 22 57 19.4 53.8C18 55.2 16.6 54.4 15 52.2C13.4 53.4 11.6 52.6 8.4 50.4C9.2 53.4 8.8 54.8 10.8 55.8C10.6 58.2 12.8 59 14.6 59.4C15.4 61.8 18 62.2 20.2 62.2C22.6 64.4 25.8 65.4 29.8 66Z';
  return [
    stroke(stem, color, 1.7),
    shape(right, color),
    shape(left, color),
    stroke('M31.4 61.6C36 57.4 41 55 46.4 51.4', '#ffffff', 0.35),
    stroke('M28.6 64.6C24 60.8 19.6 58.8 14 55.4', '#ffffff', 0.35),
  ];
}
