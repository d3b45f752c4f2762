import { arcStem, filled, leafy, lined, stemPath, type OrnamentKind } from '../ornament.ts';

/** Two branches that meet below and leave the top open. */
export const laurel: OrnamentKind = {
  ratio: 1,
  round: true,
  count: { usual: 9, least: 3, most: 24 },
  draw({ width, count, weight, inks }) {
    const length = Math.min(width * 0.17, (width / count) * 1.25);
    const radius = width / 2 - length * 0.62;
    return [-1, 1].flatMap((side) => {
      const stem = arcStem(radius, 180 - side * 4, 180 - side * 150);
      const { left, right, tip } = leafy(stem, { pairs: count, length, lean: 34 });
      return [lined(stemPath(stem), inks[0], weight), filled([...left, ...right, ...tip], inks[0])];
    });
  },
};
