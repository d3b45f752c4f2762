import { petal, picture, ray, round, shape, stroke } from './svg.ts';

/** The colours of a star flower. */
export interface StarColors {
  readonly petal: string;
  readonly shade: string;
  readonly eye: string;
  readonly leaf: string;
  readonly light: string;
}

/** A branch with three star flowers and buds, 60 x 72 mm. */
export function starFlowers(colors: StarColors): string {
  const { leaf, light } = colors;
  return picture(60, 72, [
    stroke('M30 71C30.6 58 29 46 30 30', leaf, 1.4),
    stroke('M30 52C36 46 42 42 45.4 36.6', leaf, 1.1),
    stroke('M30 58C24 52 18 47.4 14.6 42', leaf, 1.1),
    stroke('M37.6 45.2C42 46.4 46 48.4 50 52', leaf, 0.9),
    stroke('M23 51.8C18.6 54 14.6 56.2 11.6 60.4', leaf, 0.9),
    ...leafPair(leaf, light),
    ...flower(30, 21, 15.5, 0, colors),
    ...flower(46, 34, 10, 24, colors),
    ...flower(13.6, 39, 10.4, -20, colors),
    ...bud(50.6, 53.4, 140, colors),
    ...bud(11, 61.8, 212, colors),
  ]);
}

function flower(x: number, y: number, size: number, turn: number, colors: StarColors): string[] {
  const five = [0, 72, 144, 216, 288].map((angle) => angle + turn);
  return [
    ...five.map((angle) =>
      shape(
        petal([x, y], angle + 36, { length: size * 0.84, width: size * 0.22, belly: 0.5 }),
        colors.leaf,
      ),
    ),
    ...five.map((angle) =>
      shape(petal([x, y], angle, { length: size, width: size * 0.98, belly: 0.5 }), colors.petal),
    ),
    ...five.map((angle) =>
      stroke(
        `M${ray(x, y, angle, size * 0.24).join(' ')}L${ray(x, y, angle, size * 0.72).join(' ')}`,
        colors.shade,
        round(size * 0.035),
      ),
    ),
    ...five.map((angle) =>
      shape(
        petal([x, y], angle + 36, { length: size * 0.3, width: size * 0.16, belly: 0.6 }),
        '#ffffff',
      ),
    ),
    ...five.map((angle) =>
      shape(
        petal([x, y], angle, { length: size * 0.26, width: size * 0.1, belly: 0.5 }),
        colors.eye,
      ),
    ),
    `<circle cx="${x}" cy="${y}" r="${round(size * 0.09)}" fill="${colors.eye}"/>`,
  ];
}

function bud(x: number, y: number, angle: number, { petal: color, leaf }: StarColors): string[] {
  return [
    shape(petal([x, y], angle, { length: 6, width: 4.4, belly: 0.4 }), color),
    ...[-22, 22].map((turn) =>
      shape(petal([x, y], angle + turn, { length: 4.6, width: 1.8, belly: 0.4 }), leaf),
    ),
  ];
}

function leafPair(leaf: string, light: string): string[] {
  const blade = (base: [number, number], angle: number, length: number): string[] => [
    shape(petal(base, angle, { length, width: length * 0.62, belly: 0.5 }), leaf),
    stroke(
      `M${ray(base[0], base[1], angle, length * 0.12).join(' ')}L${ray(base[0], base[1], angle, length * 0.82).join(' ')}`,
      light,
      0.4,
    ),
  ];
  return [...blade([30.2, 68], 62, 20), ...blade([30, 66], -58, 19)];
}
