import { filled, inkAt, polygon, type PatternKind } from '../pattern.ts';

/** Stars of two sizes in the night. */
export const stars: PatternKind = {
  inks: 2,
  tile(inks) {
    const star = (x: number, y: number, size: number, points: number) =>
      polygon(
        Array.from({ length: points * 2 }, (_, at) => {
          const angle = (at * Math.PI) / points;
          const reach = at % 2 ? size * 0.42 : size;
          return { x: x + reach * Math.sin(angle), y: y - reach * Math.cos(angle) };
        }),
      );
    return {
      width: 8,
      height: 8,
      nodes: [
        filled(star(2, 2.2, 1.1, 5), inkAt(inks, 0)),
        filled(star(6, 6.1, 1.1, 5), inkAt(inks, 0)),
        filled(star(5.6, 1.7, 0.5, 4), inkAt(inks, 1)),
        filled(star(1.8, 6.4, 0.5, 4), inkAt(inks, 1)),
        filled(star(3.9, 4.3, 0.3, 4), inkAt(inks, 1)),
      ],
    };
  },
};
