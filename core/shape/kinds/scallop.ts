import * as z from 'zod';
import { bow, type Path } from '../../geometry/index.ts';
import { boxedKind, mm } from './kind.ts';

/** A round or oval edge of equal bows; `depth` is how far the bows stand out from where they meet, mm. */
export const scallopSchema = z.object({
  kind: z.literal('scallop'),
  width: mm,
  height: mm,
  bows: z.number().int().min(4).max(72),
  depth: z.number().min(0.1).max(200),
});
type ScallopShape = z.infer<typeof scallopSchema>;

const deepest = ({ width, height }: ScallopShape): number => Math.min(width, height) / 4;

function exact(shape: ScallopShape): Path {
  const { width, height, bows } = shape;
  const depth = Math.min(shape.depth, deepest(shape));
  const [w, h] = [width / 2, height / 2];
  // Where the middle of each bow shall touch the oval, and where two bows meet.
  const place = (at: number, further: number): { x: number; y: number } => {
    const turn = (at / bows) * 2 * Math.PI - Math.PI / 2;
    return { x: (w + further) * Math.cos(turn), y: (h + further) * Math.sin(turn) };
  };
  const meeting = (at: number) => place(at + 0.5, -depth);
  const first = meeting(-1);
  return [
    ['M', first.x, first.y],
    ...Array.from({ length: bows }, (_, at) => {
      const [from, to, top] = [meeting(at - 1), meeting(at), place(at, 0)];
      const rise = Math.hypot(top.x - (from.x + to.x) / 2, top.y - (from.y + to.y) / 2);
      return bow(from, to, rise);
    }).flat(),
    ['Z'],
  ];
}

export const scallop = boxedKind<ScallopShape>(
  exact,
  [
    { key: 'bows', counts: true, least: 4, most: () => 72 },
    {
      key: 'depth',
      counts: false,
      least: 0.1,
      most: deepest,
      at: ({ width, bows, depth }) => {
        const turn = Math.PI / bows - Math.PI / 2;
        const reach = width / 2 - depth;
        return { x: reach * Math.cos(turn), y: reach * Math.sin(turn) };
      },
      read: ({ width }, { x, y }) => width / 2 - Math.hypot(x, y),
    },
  ],
  'depth',
);
