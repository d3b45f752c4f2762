import type { Platform } from '../../core/base/index.ts';
import type { JobWithArt } from '../../core/job/index.ts';
import { broadLeaf, frond, mushroom } from '../art/woodland.ts';
import { demoJob, drawings } from './kit.ts';
import { drawnEdge, pictureStickers } from './stickers.ts';
import { woodlandPlaces } from './nested-places.ts';

const RIM = 2; // mm

/** Stickers in the outline of what they show: a leaf, a fern and two mushrooms with a rim around them, nested on a sheet. */
export async function woodlandStickers(platform: Platform): Promise<JobWithArt> {
  const made = await drawings(platform, {
    'Fly agaric': mushroom('#c2412f', '#9c2f22', '#f4e8d0', '#6f8f4e'),
    'Wood blewit': mushroom('#7d5a8f', '#5d3f70', '#efe3ea', '#7f8a52'),
    'Lime leaf': broadLeaf('#4f8a4c', '#dfeec2', '#6b5a34'),
    'Male fern': frond('#3f7448', '#7fae63'),
  });
  const heights: Readonly<Record<string, number>> = {
    'Fly agaric': 44,
    'Wood blewit': 38,
    'Lime leaf': 46,
    'Male fern': 52,
  };
  const pieces = await pictureStickers(platform, made, {
    look: { bleed: 2, safe: 1, ground: '#fffdf6' },
    edge: drawnEdge(RIM),
    heights,
  });
  return demoJob(
    'own',
    {
      id: 'demo-woodland-stickers',
      name: 'Woodland stickers',
      pieces,
      wanted: 3,
      change: (job) => ({
        ...job,
        thing: { kind: 'own', shape: 'rectangle', width: 48, height: 48, allowance: 0 },
        plan: {
          ...job.plan,
          arrangement: 'nest',
          nested: [woodlandPlaces],
          wanted: Object.fromEntries(
            pieces.map(({ id }) => [id, woodlandPlaces.filter(({ piece }) => piece === id).length]),
          ),
        },
      }),
    },
    made,
  );
}
