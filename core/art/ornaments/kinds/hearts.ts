import { mapPath, placed, type Path } from '../../../geometry/index.ts';
import { filled, lined, type OrnamentKind } from '../ornament.ts';

/** A row of hearts on a line. */
export const hearts: OrnamentKind = {
  ratio: 6,
  count: { usual: 5, least: 1, most: 24 },
  draw({ width, height, count, weight, inks }) {
    const size = Math.min(height * 0.5, (width / count) * 0.42);
    const heart: Path = [
      ['M', 0, size * 0.9],
      ['C', -size * 1.5, -size * 0.1, -size * 0.95, -size * 1.15, 0, -size * 0.4],
      ['C', size * 0.95, -size * 1.15, size * 1.5, -size * 0.1, 0, size * 0.9],
      ['Z'],
    ];
    const all = Array.from({ length: count }, (_, at) =>
      mapPath(heart, placed(-width / 2 + (width * (at + 0.5)) / count, 0, 0)),
    );
    const gaps = Array.from({ length: count - 1 }, (_, at): Path => {
      const x = -width / 2 + (width * (at + 1)) / count;
      const half = Math.max(0, width / count / 2 - size * 1.35);
      return [
        ['M', x - half, 0],
        ['L', x + half, 0],
      ];
    });
    return [filled(all.flat(), inks[0]), lined(gaps.flat(), inks[0], weight)];
  },
};
