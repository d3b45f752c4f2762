import type { Platform } from '../../core/base/index.ts';
import type { JobWithArt } from '../../core/job/index.ts';
import { seedling } from '../art/wreath.ts';
import { art, demoFromCommands, drawings, numbered, ornament, plate, words } from './kit.ts';

const FERN = '#2c4a2f';
const LIGHT = '#8fae6f';
const CLAY = '#b5603a';
const RUST = '#8a3f20';

/** Hang tags with a hole, numbered as they are potted on, with how to care for the plant behind. */
export async function plantTags(platform: Platform): Promise<JobWithArt> {
  const made = await drawings(platform, { Seedling: seedling('#6f9a52', '#cfe0a8', '#7a5236') });
  const plant = made.get('Seedling')?.art;
  const small = { typeface: 'barlow-condensed-semibold', color: FERN, tracking: 10 } as const;
  const elements = numbered([
    plate(
      { kind: 'rectangle', width: 39, height: 45, radius: 2.5 },
      '#fffdf4',
      {
        color: FERN,
        width: 0.3,
        style: 'solid',
      },
      12,
    ),
    ...(plant ? [art(plant.id, 14, 14, { y: -1.5 })] : []),
    words('Lemon Thyme', {
      typeface: 'caveat-bold',
      color: FERN,
      size: 24,
      y: 12,
      width: 35,
      height: 10,
    }),
    ornament('branch', {
      y: 19.6,
      width: 24,
      height: 6,
      count: 9,
      weight: 0.25,
      inks: [LIGHT, CLAY],
    }),
    words('sun, a dry bed, cut after flowering', {
      typeface: 'figtree-regular',
      color: FERN,
      size: 7.5,
      y: 27,
      width: 33,
      height: 8.5,
      fit: 'wrap-shrink',
      balanced: true,
    }),
    words('Thistle & Fen', {
      ...small,
      case: 'upper',
      size: 8,
      y: -15,
      width: 30,
      height: 5,
      color: '#fffdf4',
    }),
    words('No. {#001}', { ...small, size: 8, y: 38.4, width: 30, height: 4, color: '#fffdf4' }),
  ]);
  const job = demoFromCommands('tag', { id: 'demo-plant-tags', name: 'Plant tags' }, [
    {
      name: 'measure-thing',
      args: {
        thing: {
          kind: 'tag',
          width: 45,
          height: 85,
          opening: 'hole',
          hole: 5,
          rim: 4,
          corner: 8,
          corners: 'clipped',
          sides: '2',
        },
      },
    },
    {
      name: 'change-piece',
      args: {
        piece: 'piece-1',
        changes: {
          name: 'Lemon Thyme',
          ground: {
            kind: 'pattern',
            pattern: 'leaves',
            ground: FERN,
            inks: ['#3d6140', '#456b45'],
            scale: 0.9,
            angle: 0,
          },
        },
      },
    },
    { name: 'add-elements', args: { piece: 'piece-1', elements, art: plant ? [plant] : [] } },
    {
      name: 'change-piece',
      args: { piece: 'piece-2', changes: { name: 'Lemon Thyme, care', ground: '#fffdf4' } },
    },
    { name: 'add-elements', args: { piece: 'piece-2', elements: care(), art: [] } },
    { name: 'want', args: { piece: 'piece-1', count: 8 } },
    { name: 'change-plan', args: { changes: { gap: 4, cut: 'through' } } },
  ]);
  return { job, art: new Map([...made.values()].map((one) => [one.art.id, one.bytes])) };
}

/** What stands on the other side. */
function care(): ReturnType<typeof numbered> {
  const plain = {
    typeface: 'figtree-regular',
    color: FERN,
    width: 35,
    fit: 'wrap-shrink',
  } as const;
  const rows = [
    ['Where', 'Full sun, dry and stony'],
    ['Water', 'Seldom, never in the evening'],
    ['Cut', 'By a third after flowering'],
    ['Winter', 'Hardy; brushwood in bare frost'],
  ] as const;
  return numbered([
    words('How it thrives', {
      typeface: 'caveat-bold',
      color: FERN,
      size: 20,
      y: -18,
      width: 35,
      height: 9,
    }),
    ornament('branch', {
      y: -11,
      width: 24,
      height: 6,
      count: 9,
      weight: 0.25,
      inks: [LIGHT, CLAY],
    }),
    ...rows.flatMap(([name, says], at) => [
      words(name, {
        ...plain,
        typeface: 'barlow-condensed-semibold',
        size: 8.5,
        tracking: 6,
        case: 'upper',
        color: RUST,
        y: -3 + at * 10.4,
        height: 4,
      }),
      words(says, { ...plain, size: 8, y: 1.2 + at * 10.4, height: 4.6 }),
    ]),
    words('Thistle & Fen', {
      typeface: 'barlow-condensed-semibold',
      color: FERN,
      tracking: 10,
      case: 'upper',
      size: 8,
      y: 38.2,
      width: 30,
      height: 4,
    }),
  ]);
}
