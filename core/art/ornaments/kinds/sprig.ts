import { filled, leafy, lined, stemPath, type OrnamentKind, type StemPoint } from '../ornament.ts';

/** A single stem with pairs of leaves, standing up. */
export const sprig: OrnamentKind = {
  ratio: 0.55,
  count: { usual: 4, least: 1, most: 14 },
  twoInks: true,
  draw({ width, height, count, weight, inks }) {
    const stem = (share: number): StemPoint => ({
      x: width * 0.06 * Math.sin(share * Math.PI),
      y: height / 2 - height * 0.82 * share,
      turn: 9 * Math.cos(share * Math.PI),
    });
    const length = Math.min(width * 0.6, (height / (count + 1)) * 1.2);
    const { left, right, tip } = leafy(stem, { pairs: count, length, lean: 48 });
    return [
      lined(stemPath(stem), inks[1], weight),
      filled([...left, ...tip], inks[0]),
      filled(right, inks[1]),
    ];
  },
};
