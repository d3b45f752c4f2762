import type { Platform } from '../../core/base/index.ts';
import type { JobWithArt } from '../../core/job/index.ts';
import type { Piece } from '../../core/piece/index.ts';
import { starFlowers } from '../art/borage.ts';
import { thistle } from '../art/thistle.ts';
import { art, demoJob, drawings, numbered, ring, words } from './kit.ts';
import { usualThing } from '../../core/things/index.ts';

interface Packet {
  readonly id: string;
  readonly name: string;
  readonly latin: string;
  readonly note: string;
  readonly ground: string;
  readonly ink: string;
  readonly art: string;
}

const PACKETS: readonly Packet[] = [
  {
    id: 'borage',
    name: 'Borage',
    latin: 'Borago officinalis',
    note: 'Sow March to July  ·  80 seeds',
    ground: '#e6efdf',
    ink: '#2c4a2f',
    art: 'Borage branch',
  },
  {
    id: 'sea-holly',
    name: 'Sea Holly',
    latin: 'Eryngium planum',
    note: 'Sow October to March  ·  60 seeds',
    ground: '#f4ead6',
    ink: '#44203d',
    art: 'Sea holly',
  },
  {
    id: 'love-star',
    name: 'Evening Star',
    latin: 'Campanula poscharskyana',
    note: 'Sow April to June  ·  120 seeds',
    ground: '#fbe3c8',
    ink: '#7a2430',
    art: 'Evening star branch',
  },
];

const ART = {
  'Borage branch': starFlowers({
    petal: '#5a68c8',
    shade: '#333f94',
    eye: '#2a2350',
    leaf: '#4f7f4a',
    light: '#b9d4a8',
  }),
  'Sea holly': thistle({
    tuft: ['#7b3f8c', '#a05cb0', '#c79ad0'],
    leaf: '#4f7a43',
    light: '#cfe0b8',
  }),
  'Evening star branch': starFlowers({
    petal: '#d4697f',
    shade: '#9a2f4a',
    eye: '#6b2230',
    leaf: '#5a7a43',
    light: '#dbe0b0',
  }),
};

function front({ id, name, latin, note, ground, ink }: Packet, flower: string): Piece {
  const frame = (inset: number, radius: number) =>
    ({ kind: 'rectangle', width: 76 - 2 * inset, height: 102 - 2 * inset, radius }) as const;
  return {
    id,
    name,
    edge: { kind: 'rectangle', width: 76, height: 102, radius: 4 },
    bleed: 2,
    safe: 3,
    ground,
    elements: numbered([
      ring(frame(3.2, 2.4), ink, 0.6),
      ring(frame(4.5, 1.4), ink, 0.25),
      words('THISTLE & FEN', { y: -38, size: 15, tracking: 16, width: 62, height: 8, color: ink }),
      words('FIELD-GROWN SEED', {
        y: -31.6,
        size: 7.5,
        tracking: 22,
        width: 60,
        height: 5,
        typeface: 'figtree-semibold',
        color: ink,
      }),
      art(flower, 44, 50, { y: -3 }),
      words(name, { y: 29.4, size: 25, width: 62, height: 12, color: ink, least: 14 }),
      words(latin, {
        y: 37,
        size: 10.5,
        width: 60,
        height: 5.5,
        typeface: 'fraunces-italic',
        color: ink,
      }),
      words(note, {
        y: 43.2,
        size: 7.6,
        width: 62,
        height: 4.5,
        typeface: 'figtree-regular',
        color: ink,
      }),
    ]),
  };
}

/** Fronts for seed packets, 76 x 102 mm, four of each. */
export async function seedPacketFronts(platform: Platform): Promise<JobWithArt> {
  const flowers = await drawings(platform, ART);
  const pieces = PACKETS.map((packet) => front(packet, flowers.get(packet.art)?.art.id ?? ''));
  return demoJob(
    'face',
    {
      id: 'demo-seed-packet-fronts',
      name: 'Seed packet fronts',
      pieces,
      wanted: 4,
      change: (job) => ({
        ...job,
        thing: usualThing('face', { width: 84, height: 110, radius: 8, clearance: 4 }),
        pieces: job.pieces.map((piece) => ({
          ...piece,
          edge: { kind: 'rectangle', width: 76, height: 102, radius: 4 } as const,
        })),
        plan: { ...job.plan, gap: 5 },
      }),
    },
    flowers,
  );
}
