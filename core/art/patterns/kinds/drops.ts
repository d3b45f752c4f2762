import type { Path } from '../../../geometry/index.ts';
import { filled, inkAt, type PatternKind } from '../pattern.ts';

/** Falling drops in two colours. */
export const drops: PatternKind = {
  inks: 2,
  tile(inks) {
    const drop = (x: number, y: number, size: number): Path => [
      ['M', x, y - size],
      ['C', x + size * 0.3, y - size * 0.35, x + size * 0.62, y, x + size * 0.62, y + size * 0.38],
      ['C', x + size * 0.62, y + size * 0.74, x + size * 0.34, y + size, x, y + size],
      [
        'C',
        x - size * 0.34,
        y + size,
        x - size * 0.62,
        y + size * 0.74,
        x - size * 0.62,
        y + size * 0.38,
      ],
      ['C', x - size * 0.62, y, x - size * 0.3, y - size * 0.35, x, y - size],
      ['Z'],
    ];
    return {
      width: 6,
      height: 7,
      nodes: [
        filled(drop(1.5, 1.9, 1.1), inkAt(inks, 0)),
        filled(drop(4.5, 5.4, 1.1), inkAt(inks, 0)),
        filled(drop(4.5, 1.5, 0.55), inkAt(inks, 1)),
        filled(drop(1.5, 5, 0.55), inkAt(inks, 1)),
      ],
    };
  },
};
