import { polygon, filled, lined, type OrnamentKind } from '../ornament.ts';

/** Two lines that thin out to the sides of a diamond. */
export const divider: OrnamentKind = {
  ratio: 9,
  draw({ width, height, weight, inks }) {
    const half = Math.min(height / 2, width * 0.06);
    const long = width / 2;
    const bar = (side: number) =>
      polygon([
        { x: side * half * 1.7, y: -weight / 2 },
        { x: side * long, y: 0 },
        { x: side * half * 1.7, y: weight / 2 },
      ]);
    const diamond = polygon([
      { x: 0, y: -half },
      { x: half, y: 0 },
      { x: 0, y: half },
      { x: -half, y: 0 },
    ]);
    return [filled([...bar(-1), ...bar(1)], inks[0]), lined(diamond, inks[0], weight * 0.8)];
  },
};
