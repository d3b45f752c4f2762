import { KAPPA, type Path } from '../../../geometry/index.ts';
import { inkAt, lined, type PatternKind } from '../pattern.ts';

/** Half rounds in rows like roof tiles, each with a smaller one inside. */
export const scales: PatternKind = {
  inks: 2,
  tile(inks) {
    const arch = (x: number, y: number, r: number): Path => [
      ['M', x - r, y],
      ['C', x - r, y - r * KAPPA, x - r * KAPPA, y - r, x, y - r],
      ['C', x + r * KAPPA, y - r, x + r, y - r * KAPPA, x + r, y],
    ];
    const both = (x: number, y: number) => [
      lined(arch(x, y, 2), inkAt(inks, 0), 0.32),
      lined(arch(x, y, 1.15), inkAt(inks, 1), 0.22),
    ];
    return { width: 4, height: 4, nodes: [...both(2, 2), ...both(0, 4)] };
  },
};
