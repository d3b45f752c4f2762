import * as z from 'zod';
import { ringsPath, type Path } from '../../geometry/index.ts';
import { boxedKind, mm } from './kind.ts';

/** A band with a wedge out of both ends; `tail` is how deep the wedges are, mm. */
export const bannerSchema = z.object({
  kind: z.literal('banner'),
  width: mm,
  height: mm,
  tail: z.number().min(0.1).max(800),
});
type BannerShape = z.infer<typeof bannerSchema>;

const deepest = ({ width }: BannerShape): number => width * 0.4;

function exact(shape: BannerShape): Path {
  const [w, h] = [shape.width / 2, shape.height / 2];
  const tail = Math.min(shape.tail, deepest(shape));
  return ringsPath([
    [
      { x: -w, y: -h },
      { x: w, y: -h },
      { x: w - tail, y: 0 },
      { x: w, y: h },
      { x: -w, y: h },
      { x: -w + tail, y: 0 },
    ],
  ]);
}

export const banner = boxedKind<BannerShape>(
  exact,
  [
    {
      key: 'tail',
      counts: false,
      least: 0.1,
      most: deepest,
      at: ({ width, tail }) => ({ x: width / 2 - tail, y: 0 }),
      read: ({ width }, { x }) => width / 2 - x,
    },
  ],
  'tail',
);
