import { around, polygon, filled, onCircle, type OrnamentKind } from '../ornament.ts';

/** Rays that widen outwards from an open middle. */
export const rays: OrnamentKind = {
  ratio: 1,
  round: true,
  count: { usual: 20, least: 4, most: 72 },
  draw({ width, count, inks }) {
    const [inner, outer] = [width * 0.14, width / 2];
    const half = 90 / count;
    const all = around(count, (turn) =>
      polygon([
        onCircle(inner, turn - half),
        onCircle(outer, turn - half),
        onCircle(outer, turn + half),
        onCircle(inner, turn + half),
      ]),
    );
    return [filled(all.flat(), inks[0])];
  },
};
