import { filled, inkAt, polygon, type PatternKind } from '../pattern.ts';

/** Broad zigzag bands. */
export const chevron: PatternKind = {
  inks: 1,
  tile: (inks) => ({
    width: 5,
    height: 4,
    nodes: [
      filled(
        polygon([
          { x: -0.03, y: 2.53 },
          { x: 2.5, y: 0 },
          { x: 5.03, y: 2.53 },
          { x: 5.03, y: 4.13 },
          { x: 2.5, y: 1.6 },
          { x: -0.03, y: 4.13 },
        ]),
        inkAt(inks, 0),
      ),
    ],
  }),
};
