import { filled, inkAt, leaf, lined, type PatternKind } from '../pattern.ts';

/** Pairs of leaves on short stalks, strewn in two directions. */
export const leaves: PatternKind = {
  inks: 2,
  tile(inks) {
    const sprig = (x: number, y: number, turn: number) => {
      const rad = (turn * Math.PI) / 180;
      const tip = { x: x + 1.6 * Math.sin(rad), y: y - 1.6 * Math.cos(rad) };
      return [
        lined(
          [
            ['M', x, y],
            ['L', tip.x, tip.y],
          ],
          inkAt(inks, 1),
          0.22,
        ),
        filled(leaf(tip, 2.6, 1.3, turn), inkAt(inks, 0)),
        filled(leaf({ x, y }, 2.1, 1.05, turn - 58), inkAt(inks, 0)),
        filled(leaf({ x, y }, 2.1, 1.05, turn + 58), inkAt(inks, 1)),
      ];
    };
    return { width: 10, height: 9, nodes: [...sprig(2.5, 4, 24), ...sprig(7.5, 8.4, -32)] };
  },
};
