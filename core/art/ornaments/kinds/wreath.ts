import {
  arcStem,
  around,
  bead,
  filled,
  leafAt,
  lined,
  onCircle,
  stemPath,
  type OrnamentKind,
} from '../ornament.ts';

/** Leaves and berries all the way around. */
export const wreath: OrnamentKind = {
  ratio: 1,
  round: true,
  count: { usual: 22, least: 6, most: 60 },
  twoInks: true,
  draw({ width, count, weight, inks }) {
    const length = Math.min(width * 0.16, (width * 4.4) / count);
    const radius = width / 2 - length * 0.66;
    const leaves = around(count, (turn, at) =>
      leafAt(onCircle(radius, turn), length, turn + 90 + (at % 2 ? 40 : -40)),
    ).flat();
    const berries = around(Math.round(count / 2), (turn, at) =>
      bead(onCircle(radius + (at % 2 ? 1 : -1) * length * 0.42, turn + 9), length * 0.12),
    ).flat();
    return [
      lined([...stemPath(arcStem(radius, 0, 360), 96), ['Z']], inks[0], weight),
      filled(leaves, inks[0]),
      filled(berries, inks[1]),
    ];
  },
};
