import { dot, filled, inkAt, type PatternKind } from '../pattern.ts';

/** Large spots, each row half a step on, in two colours by turns. */
export const spots: PatternKind = {
  inks: 2,
  tile: (inks) => ({
    width: 6,
    height: 6,
    nodes: [filled(dot(1.5, 1.5, 1.1), inkAt(inks, 0)), filled(dot(4.5, 4.5, 1.1), inkAt(inks, 1))],
  }),
};
