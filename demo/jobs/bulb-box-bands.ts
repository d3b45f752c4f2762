import { expectOk, type Platform } from '../../core/base/index.ts';
import type { JobWithArt } from '../../core/job/index.ts';
import { elementOnZone, type Piece, type PieceElement } from '../../core/piece/index.ts';
import { trySize, usualThing, type ZoneName } from '../../core/things/index.ts';
import { starFlowers, type StarColors } from '../art/borage.ts';
import { art, demoJob, drawings, numbered, ring, words } from './kit.ts';

interface Colorway {
  readonly id: string;
  readonly name: string;
  readonly note: string;
  readonly ground: string;
  readonly ink: string;
  readonly colors: StarColors;
}

const LEAF = { leaf: '#5a7a43', light: '#cfe0a8' };
const COLORWAYS: readonly Colorway[] = [
  {
    id: 'squill',
    name: 'Blue Squill',
    note: 'Twelve bulbs',
    ground: '#e3e8f4',
    ink: '#24356f',
    colors: { ...LEAF, petal: '#5a68c8', shade: '#333f94', eye: '#2a2350' },
  },
  {
    id: 'star',
    name: 'Spring Star',
    note: 'Twenty bulbs',
    ground: '#fbe3c8',
    ink: '#7a2430',
    colors: { ...LEAF, petal: '#d4697f', shade: '#9a2f4a', eye: '#6b2230' },
  },
  {
    id: 'garlic',
    name: 'Golden Garlic',
    note: 'Fifteen bulbs',
    ground: '#f7efdd',
    ink: '#5a4012',
    colors: { ...LEAF, petal: '#e2b13c', shade: '#a9761a', eye: '#5a4012' },
  },
];

const STRIP = 54;
/** Boxes of 120 x 35 x 80 mm, with a strip over the top. */
const BOX = usualThing('band', {
  width: 120,
  depth: 35,
  height: 80,
  around: 'w',
  strip: STRIP,
  overlap: 12,
});

/** An element on a panel, as it stands about the middle of that. */
function onPanel(panel: ZoneName, element: PieceElement): PieceElement {
  const { zones, shape } = expectOk(trySize(BOX));
  const zone = zones.find(({ name }) => name === panel);
  if (!zone) throw new Error(panel);
  return elementOnZone(element, { zone, edge: shape });
}

/** Words that stand `down` mm below the middle of a panel. */
const wordsOn = (
  panel: ZoneName,
  down: number,
  text: string,
  fields: Parameters<typeof words>[1],
): PieceElement => onPanel(panel, words(text, { x: 0, y: down, width: 44, ...fields }));

function band({ id, name, note, ground, ink }: Colorway, flower: string): Piece {
  const { shape } = expectOk(trySize(BOX));
  const plain = { typeface: 'figtree-semibold', tracking: 14, color: ink };
  return {
    id,
    name,
    edge: shape,
    bleed: 2,
    safe: 2,
    ground,
    elements: numbered([
      ...(['front', 'back'] as const).map((panel) =>
        onPanel(
          panel,
          ring({ kind: 'rectangle', width: STRIP - 8, height: 72, radius: 3 }, ink, 0.4),
        ),
      ),
      wordsOn('top', -4, 'THISTLE & FEN', {
        ...{ size: 13, tracking: 14, height: 7, color: ink },
        field: 'maker',
      }),
      wordsOn('top', 6, 'Plant from September to November', {
        field: 'line',
        typeface: 'fraunces-italic',
        size: 9,
        height: 5,
        color: ink,
      }),
      onPanel('front', { ...art(flower, 34, 40), y: -11 }),
      wordsOn('front', 16.5, name, {
        ...{ size: 22, least: 14, height: 11, width: 42, color: ink },
        field: 'name',
      }),
      wordsOn('front', 25.5, note.toUpperCase(), {
        ...{ ...plain, size: 8, height: 5 },
        field: 'amount',
      }),
      wordsOn('back', -22, 'How to plant', { size: 15, height: 8, color: ink }),
      wordsOn('back', 5, PLANTING, {
        field: 'use',
        typeface: 'figtree-regular',
        size: 8.5,
        leading: 1.45,
        height: 42,
        width: 42,
        color: ink,
      }),
    ]),
  };
}

const PLANTING = [
  'Choose a place in the sun',
  'or in the light of trees.',
  'Set each bulb three times',
  'as deep as it is high,',
  'a hand apart, tip upwards.',
  'Water once and wait:',
  'frost does them good.',
].join('\n');

/** Bands for bulb boxes in three colourways, four of each. */
export async function bulbBoxBands(platform: Platform): Promise<JobWithArt> {
  const flowers = await drawings(
    platform,
    Object.fromEntries(COLORWAYS.map(({ name, colors }) => [name, starFlowers(colors)])),
  );
  const pieces = COLORWAYS.map((way) => band(way, flowers.get(way.name)?.art.id ?? ''));
  return demoJob(
    'band',
    {
      id: 'demo-bulb-box-bands',
      name: 'Bulb box bands',
      pieces,
      wanted: 4,
      change: (job) => ({ ...job, thing: BOX, plan: { ...job.plan, cut: 'through', gap: 5 } }),
    },
    flowers,
  );
}
