import { filled, inkAt, lined, polygon, type PatternKind } from '../pattern.ts';

/** Upright diamonds with fine lines crossing over them. */
export const diamonds: PatternKind = {
  inks: 2,
  tile(inks) {
    const diamond = (x: number, y: number) =>
      polygon([
        { x, y: y - 3 },
        { x: x + 2, y },
        { x, y: y + 3 },
        { x: x - 2, y },
      ]);
    return {
      width: 4,
      height: 6,
      nodes: [
        filled(diamond(2, 3), inkAt(inks, 0)),
        lined(
          [
            ['M', 0, 0],
            ['L', 4, 6],
          ],
          inkAt(inks, 1),
          0.16,
        ),
        lined(
          [
            ['M', 4, 0],
            ['L', 0, 6],
          ],
          inkAt(inks, 1),
          0.16,
        ),
      ],
    };
  },
};
