import { inkAt, lined, type PatternKind } from '../pattern.ts';

const SIDE = 1.8; // mm
const HALF = (SIDE * Math.sqrt(3)) / 2;

/** The cells of a honeycomb. */
export const comb: PatternKind = {
  inks: 1,
  tile(inks) {
    const spoke = (x: number, y: number) => [
      lined(
        [
          ['M', x, y],
          ['L', x, y + SIDE],
        ],
        inkAt(inks, 0),
        0.32,
      ),
      lined(
        [
          ['M', x, y],
          ['L', x + HALF, y - SIDE / 2],
        ],
        inkAt(inks, 0),
        0.32,
      ),
      lined(
        [
          ['M', x, y],
          ['L', x - HALF, y - SIDE / 2],
        ],
        inkAt(inks, 0),
        0.32,
      ),
    ];
    return {
      width: 2 * HALF,
      height: 3 * SIDE,
      nodes: [...spoke(HALF, SIDE), ...spoke(0, 2.5 * SIDE)],
    };
  },
};
