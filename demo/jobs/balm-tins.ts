import { expectOk, isProblem, type Platform } from '../../core/base/index.ts';
import {
  asThing,
  changeThing,
  type CommandCall,
  type Job,
  type JobWithArt,
} from '../../core/job/index.ts';
import { parseList, type PieceElement } from '../../core/piece/index.ts';
import { SHIPPED_MATERIALS } from '../../core/stock/index.ts';
import { usualThing } from '../../core/things/index.ts';
import { starFlowers } from '../art/borage.ts';
import { thistle } from '../art/thistle.ts';
import { broadLeaf } from '../art/woodland.ts';
import { art, bent, demoFromCommands, drawings, ornament, plate, ring, words } from './kit.ts';

/** The colour of the first variety; that of its row stands in its place. */
const ROW = '#9c4f17';
const CREAM = '#f8f1e1';
const INK = '#2c2a24';
const TITLE = { typeface: 'playfair-display-bold', color: INK } as const;
const TEXT = { typeface: 'josefin-sans-bold', case: 'upper', tracking: 14, least: 6 } as const;
const SMALL = { typeface: 'figtree-regular', color: INK, least: 6 } as const;

const STEM = { leaf: '#4f7f4a', light: '#b9d4a8' };
const ART = {
  Marigold: starFlowers({ petal: '#efa03e', shade: '#b8692a', eye: '#7a4a08', ...STEM }),
  Thistle: thistle({ tuft: ['#7b3f8c', '#a05cb0', '#c79ad0'], leaf: '#4f7a43', light: '#cfe0b8' }),
  Plantain: broadLeaf('#5c8f4e', '#b9d4a8', '#3f6b3a'),
};

const VARIETIES = [
  'name,line,contents,batch,colour,picture',
  `Marigold,for hands that dig,"sunflower oil, beeswax, marigold petals",M-118,${ROW},Marigold`,
  'Thistle,for cold mornings,"almond oil, beeswax, milk thistle",T-042,#6b3a7c,Thistle',
  'Plantain,for nettle stings,"olive oil, beeswax, ribwort plantain",P-073,#35603a,Plantain',
].join('\n');

const LID = usualThing('lid', { size: 62, clearance: 2 });
const WALL = usualThing('wrap', { size: 64, height: 21, clearance: 1.5, overlap: 8 });
const UNDERSIDE = usualThing('lid', { size: 60, clearance: 3 });
const CARD = usualThing('tag', { width: 46, height: 62, sides: 'fold', hole: 4, rim: 4 });
/** The middles of the front and of the sides of the wall, mm from that of its flat label. */
const [LEFT, FRONT, RIGHT] = [-54.3, -4, 46.3];
/** The middles of the leaves of the card. */
const [UPPER, LOWER] = [-31, 31];

const lidElements = (picture: string): PieceElement[] => [
  plate({ kind: 'circle', diameter: 43 }, CREAM, { color: CREAM, width: 0.5, style: 'solid' }),
  ring({ kind: 'circle', diameter: 40.4 }, ROW, 0.4),
  bent('Thistle & Fen', 23.7, 'outside', { ...TEXT, color: CREAM, size: 11, field: 'maker' }),
  bent('{line}', 26.2, 'inside', { ...TEXT, color: CREAM, size: 9.5, field: 'line' }),
  art(picture, 24, 21, { y: -7 }),
  words('{name}', { ...TITLE, size: 20, y: 7.6, width: 33, height: 9, least: 11, field: 'name' }),
  words('balm · 30 g', {
    ...TEXT,
    size: 8,
    y: 13.8,
    width: 24,
    height: 4,
    color: ROW,
    field: 'amount',
  }),
];

const wallElements: PieceElement[] = [
  { ...plate({ kind: 'rectangle', width: 48, height: 13.4, radius: 2 }, CREAM), x: FRONT },
  words('{name}', {
    ...TITLE,
    size: 21,
    x: FRONT,
    y: -1.4,
    width: 44,
    height: 8,
    least: 11,
    field: 'name',
  }),
  words('balm · 30 g', {
    ...TEXT,
    size: 7,
    x: FRONT,
    y: 4.2,
    width: 40,
    height: 3.4,
    color: ROW,
    field: 'amount',
  }),
  ...[LEFT, RIGHT].map((x) =>
    ornament('sprig', {
      x,
      y: -3.4,
      width: 5,
      height: 7,
      count: 3,
      weight: 0.3,
      inks: [CREAM, CREAM],
    }),
  ),
  words('Thistle & Fen', {
    ...TEXT,
    color: CREAM,
    size: 8.4,
    x: LEFT,
    y: 3.6,
    width: 40,
    height: 4,
    field: 'maker',
  }),
  words('{line}', {
    ...TEXT,
    color: CREAM,
    size: 8.4,
    x: RIGHT,
    y: 3.6,
    width: 44,
    height: 4,
    field: 'line',
  }),
];

const undersideElements: PieceElement[] = [
  ring({ kind: 'circle', diameter: 49 }, ROW, 0.7),
  words('{name} balm', { ...TITLE, size: 13, y: -15, width: 32, height: 6, field: 'name' }),
  ornament('divider', { y: -10, width: 24, height: 3, weight: 0.3, inks: [ROW, ROW] }),
  words('{contents}', {
    ...SMALL,
    ...{ size: 7.6, y: -2.4, width: 40, height: 10, fit: 'wrap-shrink', field: 'ingredients' },
    list: { heading: 'Ingredients', between: ' ', runsIn: true },
  }),
  words('For the skin. Keep it cool.', {
    ...SMALL,
    size: 7.2,
    y: 6,
    width: 42,
    height: 4,
    field: 'small',
  }),
  words('{batch}', {
    ...SMALL,
    size: 7.2,
    y: 11,
    width: 36,
    height: 4,
    field: 'batch',
    list: { heading: 'Batch', between: ' ', runsIn: true },
  }),
  words('{today+1y:MMMM yyyy}', {
    ...SMALL,
    ...{ size: 7.2, y: 15.6, width: 32, height: 4, field: 'best-before' },
    list: { heading: 'Best before', between: ' ', runsIn: true },
  }),
];

const cardElements = (picture: string): PieceElement[] => [
  art(picture, 26, 22, { y: UPPER - 1 }),
  words('{name}', {
    ...TITLE,
    size: 22,
    y: UPPER + 15.6,
    width: 38,
    height: 9,
    least: 11,
    field: 'name',
  }),
  words('{line}', {
    ...TEXT,
    size: 7.4,
    y: UPPER + 23,
    width: 38,
    height: 4,
    color: INK,
    field: 'line',
  }),
  words('A tin of {name} balm, stirred by hand from {contents}.', {
    ...TITLE,
    ...{ typeface: 'playfair-display-italic', size: 11, y: LOWER - 1, angle: 180 },
    ...{ width: 36, height: 26, fit: 'wrap-shrink', leading: 1.25, least: 7 },
  }),
  words('Thistle & Fen', {
    ...TEXT,
    size: 7.4,
    y: LOWER - 21,
    angle: 180,
    width: 36,
    height: 4,
    color: INK,
    field: 'maker',
  }),
];

const whole = (elements: readonly PieceElement[], ground: string | null) => ({ ground, elements });

/**
 * A tin of balm in three varieties: its lid, its wall, its underside and a folded card share a look and a
 * list, which gives each variety its colour and picture. The card is of kraft.
 */
export async function balmTins(platform: Platform): Promise<JobWithArt> {
  const made = await drawings(platform, ART);
  const known = [...made.values()];
  const picture = made.get('Marigold')?.art.id ?? '';
  const lid = demoFromCommands('lid', { id: 'demo-balm-tins', name: 'Balm tins' }, [
    { name: 'measure-thing', args: { thing: LID } },
    {
      name: 'set-artwork',
      args: {
        piece: 'piece-1',
        ...whole(lidElements(picture), ROW),
        art: known.map((one) => one.art),
      },
    },
    {
      name: 'add-thing',
      args: { name: 'Wall', first: 'Lid', thing: WALL, ...whole(wallElements, ROW) },
    },
    {
      name: 'add-thing',
      args: { name: 'Underside', thing: UNDERSIDE, ...whole(undersideElements, CREAM) },
    },
    {
      name: 'add-thing',
      args: { name: 'Card', thing: CARD, ...whole(cardElements(picture), null) },
    },
  ]);
  const job = steps(lid).reduce<Job>((now, [id, call]) => {
    const done = changeThing(now, id, call);
    if (isProblem(done)) throw new Error(`${id}, ${call.name}: ${done.code}`);
    return done;
  }, lid);
  return { job, art: new Map(known.map((one) => [one.art.id, one.bytes])) };
}

const THINGS = ['thing-1', 'thing-2', 'thing-3', 'thing-4'] as const;
const KRAFT = SHIPPED_MATERIALS.filter(({ id }) => id === 'kraft-paper');

/** What is done with the set as it stands: the list, the colours and pictures of its rows, how many, and the kraft. */
function steps(set: Job): readonly (readonly [thing: string, call: CommandCall])[] {
  const list = expectOk(parseList(VARIETIES));
  return [
    ['thing-1', { name: 'set-list', args: { list } }],
    ['thing-1', { name: 'bind-color', args: { color: ROW, column: 'colour' } }],
    ...THINGS.flatMap((id) => pictureOf(set, id)),
    ...THINGS.map(
      (id) => [id, { name: 'want-rows', args: { piece: 'piece-1', each: 4 } }] as const,
    ),
    ...THINGS.map((id) => [id, { name: 'change-plan', args: { changes: { gap: 4 } } }] as const),
    ...KRAFT.map(
      (material) => ['thing-4', { name: 'choose-material', args: { material } }] as const,
    ),
  ];
}

function pictureOf(set: Job, id: string): readonly (readonly [string, CommandCall])[] {
  const [piece] = asThing(set, id).pieces;
  const shown = piece?.elements.find(({ kind }) => kind === 'picture');
  if (!piece || !shown) return [];
  const args = { piece: piece.id, element: shown.id, column: 'picture' };
  return [[id, { name: 'bind-picture', args }]];
}
