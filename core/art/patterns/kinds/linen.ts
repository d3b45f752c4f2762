import { inkAt, lined, type PatternKind } from '../pattern.ts';

/** Fine threads across and down, thicker ones now and then. */
export const linen: PatternKind = {
  inks: 1,
  tile(inks) {
    const threads = [0.3, 0.9, 1.6, 2.1, 2.9, 3.4, 4.1, 4.7, 5.5];
    const widths = [0.07, 0.05, 0.12, 0.05, 0.07, 0.05, 0.07, 0.14, 0.05];
    const ink = inkAt(inks, 0);
    return {
      width: 6,
      height: 6,
      nodes: threads.flatMap((at, index) => [
        lined(
          [
            ['M', 0, at],
            ['L', 6, at],
          ],
          ink,
          widths[index] ?? 0.06,
        ),
        lined(
          [
            ['M', at, 0],
            ['L', at, 6],
          ],
          ink,
          widths[(index + 4) % 9] ?? 0.06,
        ),
      ]),
    };
  },
};
