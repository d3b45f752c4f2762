import { band, filled, inkAt, type PatternKind } from '../pattern.ts';

/** Little crosses like stitches, each row half a step on. */
export const crosses: PatternKind = {
  inks: 1,
  tile(inks) {
    const cross = (x: number, y: number) => [
      filled(band({ x: x - 0.7, y }, { x: x + 0.7, y }, 0.4), inkAt(inks, 0)),
      filled(band({ x, y: y - 0.7 }, { x, y: y + 0.7 }, 0.4), inkAt(inks, 0)),
    ];
    return { width: 5, height: 5, nodes: [...cross(1.25, 1.25), ...cross(3.75, 3.75)] };
  },
};
