import * as z from 'zod';
import type { Path } from '../../geometry/index.ts';
import { boxedKind, mm } from './kind.ts';

/** A heart; `dip` is how far the notch at its top reaches down, mm. */
export const heartSchema = z.object({
  kind: z.literal('heart'),
  width: mm,
  height: mm,
  dip: z.number().min(0.1).max(500),
});
type HeartShape = z.infer<typeof heartSchema>;

const deepest = ({ height }: HeartShape): number => height * 0.4;

function exact(shape: HeartShape): Path {
  const [w, h] = [shape.width / 2, shape.height / 2];
  const dip = -h + Math.min(shape.dip, deepest(shape));
  const shoulder = -h * 0.45;
  return [
    ['M', 0, dip],
    ['C', w * 0.1, -h + (dip + h) * 0.35, w * 0.28, -h, w * 0.5, -h],
    ['C', w * 0.79, -h, w, -h * 0.78, w, shoulder],
    ['C', w, h * 0.1, w * 0.42, h * 0.56, 0, h],
    ['C', -w * 0.42, h * 0.56, -w, h * 0.1, -w, shoulder],
    ['C', -w, -h * 0.78, -w * 0.79, -h, -w * 0.5, -h],
    ['C', -w * 0.28, -h, -w * 0.1, -h + (dip + h) * 0.35, 0, dip],
    ['Z'],
  ];
}

export const heart = boxedKind<HeartShape>(
  exact,
  [
    {
      key: 'dip',
      counts: false,
      least: 0.1,
      most: deepest,
      at: ({ height, dip }) => ({ x: 0, y: -height / 2 + dip }),
      read: ({ height }, { y }) => y + height / 2,
    },
  ],
  'dip',
);
