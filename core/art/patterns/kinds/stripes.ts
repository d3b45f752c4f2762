import { band, filled, inkAt, type PatternKind } from '../pattern.ts';

/** A broad and a fine stripe. */
export const stripes: PatternKind = {
  inks: 2,
  tile: (inks) => ({
    width: 5,
    height: 5,
    nodes: [
      filled(band({ x: 1.25, y: 0 }, { x: 1.25, y: 5 }, 1.5), inkAt(inks, 0)),
      filled(band({ x: 3.5, y: 0 }, { x: 3.5, y: 5 }, 0.35), inkAt(inks, 1)),
    ],
  }),
};
