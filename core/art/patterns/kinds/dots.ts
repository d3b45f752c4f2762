import { dot, filled, inkAt, type PatternKind } from '../pattern.ts';

/** Small dots in straight rows. */
export const dots: PatternKind = {
  inks: 1,
  tile: (inks) => ({ width: 3, height: 3, nodes: [filled(dot(1.5, 1.5, 0.5), inkAt(inks, 0))] }),
};
