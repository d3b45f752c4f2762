import { mapPath, placed } from '../../../geometry/index.ts';
import { around, filled, onCircle, type OrnamentKind } from '../ornament.ts';

/** A twisted cord laid in a ring. */
export const rope: OrnamentKind = {
  ratio: 1,
  round: true,
  count: { usual: 54, least: 16, most: 140 },
  draw({ width, count, weight, inks }) {
    const thick = Math.max(weight * 3, width * 0.02);
    const radius = width / 2 - thick / 2;
    const long = ((2 * Math.PI * radius) / count) * 0.94;
    const strand = around(count, (turn) => {
      const at = onCircle(radius, turn);
      return mapPath(
        [
          ['M', -long * 0.7, thick * 0.42],
          ['C', -long * 0.5, -thick * 0.1, long * 0.1, -thick * 0.55, long * 0.7, -thick * 0.42],
          ['C', long * 0.5, thick * 0.1, -long * 0.1, thick * 0.55, -long * 0.7, thick * 0.42],
          ['Z'],
        ],
        placed(at.x, at.y, turn),
      );
    });
    return [filled(strand.flat(), inks[0])];
  },
};
