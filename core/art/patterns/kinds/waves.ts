import type { Path } from '../../../geometry/index.ts';
import { inkAt, lined, type PatternKind } from '../pattern.ts';

/** Rows of soft waves. */
export const waves: PatternKind = {
  inks: 2,
  tile(inks) {
    const wave = (y: number): Path => [
      ['M', 0, y],
      ['C', 1.09, y - 1.2, 1.91, y - 1.2, 3, y],
      ['C', 4.09, y + 1.2, 4.91, y + 1.2, 6, y],
    ];
    return {
      width: 6,
      height: 4.4,
      nodes: [lined(wave(1.1), inkAt(inks, 0), 0.5), lined(wave(3.3), inkAt(inks, 1), 0.25)],
    };
  },
};
