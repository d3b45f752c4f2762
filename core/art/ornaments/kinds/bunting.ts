import { polygon, filled, lined, type OrnamentKind, type StemPoint } from '../ornament.ts';

/** Flags on a hanging line, in two colours by turns. */
export const bunting: OrnamentKind = {
  ratio: 4,
  count: { usual: 7, least: 2, most: 24 },
  twoInks: true,
  draw({ width, height, count, weight, inks }) {
    const sag = height * 0.4;
    const line = (share: number): StemPoint => ({
      x: -width / 2 + width * share,
      y: -height / 2 + weight + sag * 4 * share * (1 - share),
      turn: (Math.atan2(sag * 4 * (1 - 2 * share), width) * 180) / Math.PI,
    });
    const flags = Array.from({ length: count }, (_, at) => {
      const [from, to] = [line((at + 0.12) / count), line((at + 0.88) / count)];
      const turn = (line((at + 0.5) / count).turn * Math.PI) / 180;
      const drop = Math.min(height * 0.55, (width / count) * 0.95);
      const tip = {
        x: (from.x + to.x) / 2 - drop * Math.sin(turn),
        y: (from.y + to.y) / 2 + drop * Math.cos(turn),
      };
      return filled(polygon([from, to, tip]), inks[at % 2 ? 1 : 0]);
    });
    const string = Array.from({ length: 33 }, (_, at) => {
      const { x, y } = line(at / 32);
      return [at === 0 ? 'M' : 'L', x, y] as const;
    });
    return [...flags, lined(string, inks[0], weight)];
  },
};
