import {
  bead,
  filled,
  leafAt,
  lined,
  stemPath,
  type OrnamentKind,
  type StemPoint,
} from '../ornament.ts';

/** A lying branch with leaves by turns and berries at their feet. */
export const branch: OrnamentKind = {
  ratio: 3.4,
  count: { usual: 9, least: 3, most: 30 },
  twoInks: true,
  draw({ width, height, count, weight, inks }) {
    const stem = (share: number): StemPoint => ({
      x: -width / 2 + width * 0.92 * share,
      y: height * 0.14 * Math.sin(share * Math.PI * 2),
      turn: 90 + 12 * Math.cos(share * Math.PI * 2),
    });
    const length = Math.min(height * 0.56, (width / count) * 1.5);
    const nodes = [lined(stemPath(stem), inks[0], weight)];
    for (let at = 0; at < count; at++) {
      const foot = stem((at + 0.7) / (count + 0.4));
      const side = at % 2 ? 1 : -1;
      nodes.push(filled(leafAt(foot, length, foot.turn + side * 46), inks[0]));
      if (at % 3 === 1) {
        const between = stem((at + 1.2) / (count + 0.4));
        const berry = { x: between.x, y: between.y - side * length * 0.3 };
        nodes.push(filled(bead(berry, Math.max(weight, length * 0.1)), inks[1]));
      }
    }
    const end = stem(1);
    return [...nodes, filled(leafAt(end, length * 0.8, end.turn), inks[0])];
  },
};
