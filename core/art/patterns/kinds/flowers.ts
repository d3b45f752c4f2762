import { dot, filled, inkAt, leaf, type PatternKind } from '../pattern.ts';

/** Five-petalled flowers with a heart of their own colour, and small buds between them. */
export const flowers: PatternKind = {
  inks: 2,
  tile(inks) {
    const flower = (x: number, y: number, size: number, turn: number) => [
      ...Array.from({ length: 5 }, (_, at) =>
        filled(leaf({ x, y }, size, size * 0.72, turn + at * 72), inkAt(inks, 0)),
      ),
      filled(dot(x, y, size * 0.24), inkAt(inks, 1)),
    ];
    return {
      width: 9,
      height: 9,
      nodes: [
        ...flower(2.4, 2.6, 1.9, 10),
        ...flower(6.9, 6.9, 1.5, 42),
        filled(dot(6.7, 2.1, 0.35), inkAt(inks, 1)),
        filled(dot(2.3, 6.9, 0.35), inkAt(inks, 1)),
      ],
    };
  },
};
