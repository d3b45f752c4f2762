import { mixed } from '../../../color/index.ts';
import { rectanglePath } from '../../../geometry/index.ts';
import { band, filled, inkAt, type PatternKind } from '../pattern.ts';

/** A woven check: two bands, darker where they cross. */
export const check: PatternKind = {
  inks: 2,
  tile(inks) {
    const [across, crossing] = [inkAt(inks, 0), inkAt(inks, 1)];
    const pale = mixed(across, '#ffffff', 0.45);
    return {
      width: 4,
      height: 4,
      nodes: [
        filled(band({ x: 0, y: 1 }, { x: 4, y: 1 }, 2), pale),
        filled(band({ x: 1, y: 0 }, { x: 1, y: 4 }, 2), pale),
        filled(rectanglePath({ x: 1, y: 1 }, 2, 2), crossing),
      ],
    };
  },
};
