import type { Platform } from '../../core/base/index.ts';
import type { JobWithArt } from '../../core/job/index.ts';
import type { Piece } from '../../core/piece/index.ts';
import { seedling, wreath } from '../art/wreath.ts';
import { art, bent, demoJob, drawings, numbered, ring, words } from './kit.ts';

const INK = '#1f3a5f';
const CREAM = '#f7efdd';

/** Round labels of 40 mm for a die-cut sheet: two designs, twelve of each. */
export async function peatFreeDots(platform: Platform): Promise<JobWithArt> {
  const made = await drawings(platform, {
    'Leaf wreath': wreath('#8fb98a', '#c9dcae', '#f2a65a'),
    Seedling: seedling('#4f7f4a', '#8fb56a', '#7a5236'),
  });
  const id = (name: string): string => made.get(name)?.art.id ?? '';
  const common = { edge: { kind: 'circle', diameter: 40 }, bleed: 1, safe: 1.5 } as const;
  const pieces: Piece[] = [
    {
      ...common,
      id: 'peat-free',
      name: 'Peat free',
      ground: INK,
      elements: numbered([
        art(id('Leaf wreath'), 36, 36),
        words('PEAT', {
          y: -4.4,
          size: 19,
          width: 22,
          height: 8.4,
          tracking: 10,
          typeface: 'barlow-condensed-semibold',
          color: CREAM,
        }),
        words('free', {
          y: 3.6,
          size: 21,
          width: 22,
          height: 12,
          typeface: 'pacifico-regular',
          color: '#f2c78f',
        }),
      ]),
    },
    {
      ...common,
      id: 'grown-here',
      name: 'Grown here',
      ground: CREAM,
      elements: numbered([
        ring({ kind: 'circle', diameter: 36.4 }, INK, 0.4),
        ring({ kind: 'circle', diameter: 25 }, INK, 0.3, 'dashed'),
        art(id('Seedling'), 14, 14, { y: -0.4 }),
        bent('GROWN HERE', 13.7, 'outside', {
          size: 9.4,
          tracking: 14,
          typeface: 'quicksand-bold',
          color: INK,
        }),
        bent('THISTLE & FEN', 16.1, 'inside', {
          size: 7.2,
          tracking: 14,
          typeface: 'quicksand-bold',
          color: INK,
        }),
      ]),
    },
  ];
  return demoJob(
    'label-sheet',
    { id: 'demo-peat-free-dots', name: 'Peat-free dots', pieces, wanted: 12, change: (job) => job },
    made,
  );
}
