import * as z from 'zod';
import type { Path } from '../../geometry/index.ts';
import { boxedKind, mm } from './kind.ts';

/** Straight above and drawn in to a point below; `point` is the height of the drawn-in part, mm. */
export const shieldSchema = z.object({
  kind: z.literal('shield'),
  width: mm,
  height: mm,
  point: mm,
});
type ShieldShape = z.infer<typeof shieldSchema>;

function exact({ width, height, point }: ShieldShape): Path {
  const [w, h] = [width / 2, height / 2];
  const low = Math.min(point, height * 0.95);
  const shoulder = h - low;
  return [
    ['M', -w, -h],
    ['L', w, -h],
    ['L', w, shoulder],
    ['C', w, shoulder + low * 0.5, w * 0.55, h - low * 0.22, 0, h],
    ['C', -w * 0.55, h - low * 0.22, -w, shoulder + low * 0.5, -w, shoulder],
    ['Z'],
  ];
}

export const shield = boxedKind<ShieldShape>(
  exact,
  [
    {
      key: 'point',
      counts: false,
      least: 1,
      most: ({ height }) => height * 0.95,
      at: ({ width, height, point }) => ({ x: width / 2, y: height / 2 - point }),
      read: ({ height }, { y }) => height / 2 - y,
    },
  ],
  'point',
);
