import * as z from 'zod';
import type { Path } from '../../geometry/index.ts';
import { boxedKind, mm } from './kind.ts';

/** A leaf that stands on its tip; `belly` is how far above the lower tip it is widest, mm. */
export const leafSchema = z.object({
  kind: z.literal('leaf'),
  width: mm,
  height: mm,
  belly: mm,
});
type LeafShape = z.infer<typeof leafSchema>;

const [LOWEST, HIGHEST] = [0.2, 0.8];

function exact({ width, height, belly }: LeafShape): Path {
  const [w, h] = [width / 2, height / 2];
  const widest = h - Math.min(height * HIGHEST, Math.max(height * LOWEST, belly));
  const [up, down] = [widest + h, h - widest];
  return [
    ['M', 0, -h],
    ['C', w * 0.35, -h + up * 0.3, w, widest - up * 0.45, w, widest],
    ['C', w, widest + down * 0.45, w * 0.35, h - down * 0.3, 0, h],
    ['C', -w * 0.35, h - down * 0.3, -w, widest + down * 0.45, -w, widest],
    ['C', -w, widest - up * 0.45, -w * 0.35, -h + up * 0.3, 0, -h],
    ['Z'],
  ];
}

export const leaf = boxedKind<LeafShape>(
  exact,
  [
    {
      key: 'belly',
      counts: false,
      least: 0.5,
      most: ({ height }) => height * HIGHEST,
      at: ({ width, height, belly }) => ({ x: width / 2, y: height / 2 - belly }),
      read: ({ height }, { y }) => height / 2 - y,
    },
  ],
  'belly',
);
