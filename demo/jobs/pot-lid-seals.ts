import type { Platform } from '../../core/base/index.ts';
import type { JobWithArt } from '../../core/job/index.ts';
import type { Piece } from '../../core/piece/index.ts';
import { thistle, type ThistleColors } from '../art/thistle.ts';
import { art, bent, demoJob, drawings, numbered, ring, words } from './kit.ts';

interface Variety {
  readonly id: string;
  readonly name: string;
  readonly sow: string;
  readonly ground: string;
  readonly ink: string;
  readonly colors: ThistleColors;
}

const GREEN = { leaf: '#4f7a43', light: '#cfe0b8' };

const VARIETIES: readonly Variety[] = [
  {
    id: 'sea-holly',
    name: 'Sea Holly',
    sow: 'SOW OCTOBER TO MARCH',
    ground: '#f4ead6',
    ink: '#44203d',
    colors: { ...GREEN, tuft: ['#7b3f8c', '#a05cb0', '#c79ad0'] },
  },
  {
    id: 'sweet-pea',
    name: 'Sweet Pea',
    sow: 'SOW MARCH TO MAY',
    ground: '#fbe3c8',
    ink: '#7a2430',
    colors: { ...GREEN, tuft: ['#c23f63', '#de6f8a', '#f0a8b5'] },
  },
  {
    id: 'cornflower',
    name: 'Cornflower',
    sow: 'SOW APRIL TO JUNE',
    ground: '#e3e8f4',
    ink: '#24356f',
    colors: { leaf: '#44705c', light: '#c4dccf', tuft: ['#2f55a8', '#5379c9', '#9fb6e6'] },
  },
  {
    id: 'borage',
    name: 'Borage',
    sow: 'SOW MARCH TO JULY',
    ground: '#e6efdf',
    ink: '#2c4a2f',
    colors: { leaf: '#3f7a4c', light: '#cde5c8', tuft: ['#4a52b0', '#757cd0', '#b3b6ea'] },
  },
];

const EDGE = { kind: 'circle', diameter: 58 } as const;

function seal({ id, name, sow, ground, ink }: Variety, flower: string): Piece {
  return {
    id,
    name,
    edge: EDGE,
    bleed: 2,
    safe: 2,
    ground,
    elements: numbered([
      ring({ kind: 'circle', diameter: 53 }, ink, 0.5),
      ring({ kind: 'circle', diameter: 37.6 }, ink, 0.45, 'dotted'),
      art(flower, 22, 24.5, { y: -4.6 }),
      bent('THISTLE & FEN', 20.5, 'outside', { size: 13.5, tracking: 14, color: ink }),
      bent(sow, 23.6, 'inside', { size: 8.6, tracking: 10, color: ink }),
      words(name, { y: 11.6, size: 14.5, width: 29, height: 7.4, color: ink, least: 9 }),
    ]),
  };
}

/** Four seals for the lids of seed pots, 58 mm, twelve of each. */
export async function potLidSeals(platform: Platform): Promise<JobWithArt> {
  const flowers = await drawings(
    platform,
    Object.fromEntries(
      VARIETIES.map(({ name, colors }) => [`Thistle, ${name.toLowerCase()}`, thistle(colors)]),
    ),
  );
  const ids = [...flowers.values()].map((flower) => flower.art.id);
  const pieces = VARIETIES.map((variety, index) => seal(variety, ids[index] ?? ''));
  const given = { id: 'demo-pot-lid-seals', name: 'Pot-lid seals', pieces, wanted: 12 };
  return demoJob(
    'lid',
    { ...given, change: (job) => ({ ...job, plan: { ...job.plan, gap: 4 } }) },
    flowers,
  );
}
