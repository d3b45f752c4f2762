import { filled, inkAt, polygon, type PatternKind } from '../pattern.ts';

const SIDE = 2.4; // width of a column, mm
const STEP = 1.2; // from one bar to the next down a column, mm
const BAR = 0.55; // thickness of a bar measured down the column, mm
const LAP = 0.02;

/** Columns of slanting bars that lean left and right by turns, as in tweed. */
export const herringbone: PatternKind = {
  inks: 2,
  tile(inks) {
    const bar = (from: number, to: number, left: number, right: number) =>
      polygon([
        { x: from - LAP, y: left },
        { x: to + LAP, y: right },
        { x: to + LAP, y: right + BAR },
        { x: from - LAP, y: left + BAR },
      ]);
    return {
      width: 2 * SIDE,
      height: STEP,
      nodes: [
        filled(bar(0, SIDE, 0, SIDE), inkAt(inks, 0)),
        filled(bar(SIDE, 2 * SIDE, SIDE, 0), inkAt(inks, 1)),
      ],
    };
  },
};
