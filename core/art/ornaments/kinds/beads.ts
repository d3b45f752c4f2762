import { around, bead, filled, onCircle, type OrnamentKind } from '../ornament.ts';

/** A ring of beads, every third one larger. */
export const beads: OrnamentKind = {
  ratio: 1,
  round: true,
  count: { usual: 48, least: 6, most: 160 },
  draw({ width, count, weight, inks }) {
    const [small, large] = [weight * 0.9, weight * 1.6];
    const radius = width / 2 - large;
    const all = around(count, (turn, at) => bead(onCircle(radius, turn), at % 3 ? small : large));
    return [filled(all.flat(), inks[0])];
  },
};
