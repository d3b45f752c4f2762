import type { Platform } from '../../core/base/index.ts';
import type { JobWithArt } from '../../core/job/index.ts';
import { pieceSize, type Piece, type PieceElement } from '../../core/piece/index.ts';
import { starFlowers } from '../art/borage.ts';
import { thistle } from '../art/thistle.ts';
import { broadLeaf, frond, mushroom } from '../art/woodland.ts';
import { bent, demoJob, drawings, numbered, ornament, ring, words } from './kit.ts';
import { drawnEdge, pictureStickers } from './stickers.ts';

const [WIDTH, HEIGHT] = [90, 125]; // mm
const INK = '#4a3423';
const FAINT = '#6f5130';

/** Which sticker stands where on the sheet, its turn in degrees. */
const PLACES: readonly (readonly [string, number, number, number])[] = [
  ['Ink cap', -28, -22, -6],
  ['Sea holly', 0, -23, 0],
  ['Fly agaric', 28, -21, 5],
  ['Lime leaf', -29, 8, -18],
  ['Seal', 0, 9, 0],
  ['Borage', 28.5, 9, 0],
  ['Male fern', -28, 38, 14],
  ['Wood blewit', 0, 39, 0],
  ['Hazel leaf', 28, 38, 20],
];

/** A sheet of stickers on parchment: each is kiss-cut, and the sheet itself is cut through. */
export async function hedgerowSheet(platform: Platform): Promise<JobWithArt> {
  const made = await drawings(platform, {
    'Ink cap': mushroom('#b98a4b', '#8f6731', '#f1e6cf', '#7c8a4c'),
    'Sea holly': thistle({
      tuft: ['#5b5f9c', '#7f84bd', '#b3b6dc'],
      leaf: '#5d7f5a',
      light: '#cfdcc2',
    }),
    'Fly agaric': mushroom('#c2412f', '#9c2f22', '#f4e8d0', '#6f8f4e'),
    'Lime leaf': broadLeaf('#5f8f4a', '#e2eec6', '#6b5a34'),
    Borage: starFlowers({
      petal: '#5a68c8',
      shade: '#333f94',
      eye: '#2a2350',
      leaf: '#4f7f4a',
      light: '#b9d4a8',
    }),
    'Male fern': frond('#3f7448', '#7fae63'),
    'Wood blewit': mushroom('#7d5a8f', '#5d3f70', '#efe3ea', '#7f8a52'),
    'Hazel leaf': broadLeaf('#b8742f', '#f2d9a5', '#6b4a24'),
  });
  const heights = Object.fromEntries([...made.keys()].map((name) => [name, 23]));
  const look = { bleed: 1, safe: 1, ground: '#fffdf6' };
  const drawn = await pictureStickers(platform, made, { look, edge: drawnEdge(1.5), heights });
  const stickers = [...drawn, seal()];
  return demoJob(
    'own',
    {
      id: 'demo-hedgerow-sheet',
      name: 'Hedgerow stickers',
      pieces: [sheetOf(stickers), ...stickers],
      wanted: 0,
      change: (job) => ({
        ...job,
        thing: { kind: 'own', shape: 'rectangle', width: WIDTH, height: HEIGHT, allowance: 0 },
        plan: { ...job.plan, gap: 4, cut: 'through', wanted: { ...job.plan.wanted, sheet: 4 } },
      }),
    },
    made,
  );
}

function seal(): Piece {
  const color = '#f6ead2';
  return {
    id: 'seal',
    name: 'Seal',
    edge: { kind: 'circle', diameter: 25 },
    bleed: 1,
    safe: 1.2,
    ground: '#5a3f2b',
    elements: numbered([
      ring({ kind: 'circle', diameter: 22.4 }, color, 0.3),
      bent('THISTLE & FEN', 8, 'outside', { size: 7.5, tracking: 10, color }),
      bent('NURSERY', 8, 'inside', { size: 6.5, tracking: 14, color }),
      ornament('sprig', { width: 5, height: 9.5, count: 5, inks: [color, color] }),
    ]),
  };
}

function sheetOf(stickers: readonly Piece[]): Piece {
  const frame = (inset: number, radius: number) =>
    ({
      kind: 'rectangle',
      width: WIDTH - 2 * inset,
      height: HEIGHT - 2 * inset,
      radius,
    }) as const;
  const placed = PLACES.flatMap(([name, x, y, angle]): PieceElement[] => {
    const piece = stickers.find((one) => one.name === name);
    return piece
      ? [
          {
            id: '',
            kind: 'piece',
            piece: piece.id,
            name,
            cut: 'kiss',
            x,
            y,
            angle,
            locked: false,
            ...pieceSize(piece),
          },
        ]
      : [];
  });
  return {
    id: 'sheet',
    name: 'Sticker sheet',
    edge: { kind: 'rectangle', width: WIDTH, height: HEIGHT, radius: 5 },
    bleed: 2,
    safe: 2.5,
    ground: {
      kind: 'gradient',
      shape: 'radial',
      angle: 0,
      stops: [
        { at: 0, color: '#f7ecd2' },
        { at: 1, color: '#ead3a6' },
      ],
    },
    elements: numbered([
      ring(frame(3.2, 3), FAINT, 0.35),
      words('Hedgerow finds', { y: -50, size: 22, width: 70, height: 10, color: INK }),
      words('NINE STICKERS TO PEEL', {
        y: -42.8,
        typeface: 'figtree-semibold',
        size: 7,
        tracking: 18,
        width: 60,
        height: 5,
        color: FAINT,
      }),
      ...placed,
      words('Thistle & Fen nursery', {
        y: 56,
        size: 8,
        width: 60,
        height: 5,
        color: INK,
      }),
    ]),
  };
}
