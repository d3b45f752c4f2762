import { arcStem, around, lined, stemPath, type OrnamentKind } from '../ornament.ts';

/** A ring of dashes that come out even, between two fine lines. */
export const dashes: OrnamentKind = {
  ratio: 1,
  round: true,
  count: { usual: 36, least: 4, most: 120 },
  twoInks: true,
  draw({ width, count, weight, inks }) {
    const step = 360 / count;
    const radius = width / 2 - weight * 2.5;
    const ring = (at: number) =>
      lined([...stemPath(arcStem(at, 0, 360), 96), ['Z']], inks[1], weight * 0.4);
    return [
      ring(radius + weight * 2.2),
      lined(
        around(count, (turn) => stemPath(arcStem(radius, turn, turn + step * 0.5), 6)).flat(),
        inks[0],
        weight,
      ),
      ring(radius - weight * 2.2),
    ];
  },
};
