import { around, polygon, filled, onCircle, type OrnamentKind } from '../ornament.ts';

/** A star of many short points, as on a seal. */
export const burst: OrnamentKind = {
  ratio: 1,
  round: true,
  count: { usual: 24, least: 5, most: 90 },
  draw({ width, count, inks }) {
    const radius = width / 2;
    const inner = radius * (count < 9 ? 0.6 : 0.86);
    const points = around(count, (turn) => [
      onCircle(radius, turn),
      onCircle(inner, turn + 180 / count),
    ]).flat();
    return [filled(polygon(points), inks[0])];
  },
};
