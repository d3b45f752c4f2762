import { bead, filled, leafAt, lined, type OrnamentKind } from '../ornament.ts';

/** A flourish for a corner: two curls that leave it along both sides, with a leaf between. */
export const corner: OrnamentKind = {
  ratio: 1,
  twoInks: true,
  draw({ width: w, height: h, weight, inks }) {
    const [left, top] = [-w / 2, -h / 2];
    const x = (share: number): number => left + w * share;
    const y = (share: number): number => top + h * share;
    const r = Math.max(weight, Math.min(w, h) * 0.045);
    return [
      lined(
        [
          ['M', x(0.06), y(0.06)],
          ['C', x(0.06), y(0.4), x(0.1), y(0.72), x(0.3), y(0.8)],
          ['C', x(0.46), y(0.85), x(0.46), y(0.6), x(0.32), y(0.62)],
          ['M', x(0.06), y(0.06)],
          ['C', x(0.4), y(0.06), x(0.72), y(0.1), x(0.8), y(0.3)],
          ['C', x(0.85), y(0.46), x(0.6), y(0.46), x(0.62), y(0.32)],
          ['M', x(0.06), y(0.34)],
          ['L', x(0.06), y(0.98)],
          ['M', x(0.34), y(0.06)],
          ['L', x(0.98), y(0.06)],
        ],
        inks[0],
        weight,
      ),
      filled(leafAt({ x: x(0.09), y: y(0.09) }, Math.min(w, h) * 0.42, 135), inks[1]),
      filled(
        [...bead({ x: x(0.98), y: y(0.06) }, r), ...bead({ x: x(0.06), y: y(0.98) }, r)],
        inks[0],
      ),
    ];
  },
};
