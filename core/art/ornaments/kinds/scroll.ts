import { bead, filled, lined, type OrnamentKind } from '../ornament.ts';

/** A divider of two mirrored curls that meet in a bead. */
export const scroll: OrnamentKind = {
  ratio: 5,
  draw({ width, height, weight, inks }) {
    const h = height / 2;
    const w = width / 2;
    const curl = (side: number) =>
      [
        ['M', side * w, h * 0.1],
        ['C', side * w * 0.75, -h * 0.9, side * w * 0.52, -h * 0.75, side * w * 0.36, 0],
        ['C', side * w * 0.26, h * 0.55, side * w * 0.08, h * 0.95, side * w * 0.1, h * 0.1],
        ['C', side * w * 0.12, -h * 0.5, side * w * 0.3, -h * 0.3, side * w * 0.24, h * 0.12],
      ] as const;
    return [
      lined([...curl(-1), ...curl(1)], inks[0], weight),
      filled(bead({ x: 0, y: -h * 0.45 }, Math.max(weight, h * 0.16)), inks[0]),
    ];
  },
};
