import {
  artSize,
  USUAL_TOLERANCE,
  type Art,
  type ReadArt,
  type Traced,
} from '../../core/art/index.ts';
import { isProblem } from '../../core/base/index.ts';
import { mapPath, nested, scaling, translation } from '../../core/geometry/index.ts';
import { withBuild } from '../../core/job/index.ts';
import { picturePiece, pieceSize, type Piece, type PieceLook } from '../../core/piece/index.ts';
import { withoutOutline, type StickerCut } from '../../core/prepare/index.ts';
import { pathPart, plainBuild, plainShape, STICKER_EDGE } from '../../core/shape/index.ts';
import { artCalls } from '../calls/index.ts';
import { keepInDrawer } from '../storage/index.ts';
import { nextTurn } from '../ui/next-turn.ts';

/** The shape of a sticker whose picture has no outline of its own. */
export type BoxShape = 'rectangle' | 'rounded' | 'circle';

/** How pictures become stickers. */
export interface StickerChoices {
  /** Where they are cut, by their art, as far as that is known. */
  readonly cuts: ReadonlyMap<string, StickerCut>;
  readonly shape: BoxShape;
}

export const USUAL_STICKERS: StickerChoices = { cuts: new Map(), shape: 'rectangle' };

/** What a sheet takes, mm. */
const MOST_SIDE = 180;
/** Of the shorter side: the corners of a rounded sticker. */
const ROUNDED = 0.12;
const LOOK: PieceLook = { bleed: 2, safe: 1, ground: null };

/** Pieces from pictures, each cut by what it is, at its own size where a sheet takes it, with the art that they name. */
export async function stickersFrom(
  reads: readonly ReadArt[],
  { cuts, shape }: StickerChoices,
  progress: (done: number) => void = () => undefined,
): Promise<{ pieces: readonly Piece[]; art: readonly Art[] }> {
  const pieces: Piece[] = [];
  const art = new Map(reads.map((read) => [read.art.id, read.art]));
  for (const [at, read] of reads.entries()) {
    progress(at + 1);
    const known = cuts.get(read.art.id);
    const cut = known ?? (await artCalls.call('cutSticker', { read }).answer);
    const shown = cut.read.art;
    if (shown.id !== read.art.id) await keepInDrawer(cut.read, Date.now());
    const { width, height } = artSize(shown);
    const scale = Math.min(1, MOST_SIDE / width, MOST_SIDE / height);
    pieces.push(cutPiece(shown, cut.traced, { id: 'piece', look: LOOK, scale, shape }));
    // What a picture was made from comes along: its recipe can be changed later.
    for (const one of [shown, cut.from]) if (one) art.set(one.id, one);
    await nextTurn();
  }
  return { pieces, art: [...art.values()] };
}

interface Made {
  readonly id: string;
  readonly look: PieceLook;
  readonly scale?: number;
  readonly shape?: BoxShape;
}

/** A picture as a piece, cut around an outline with the usual rim; by a plain shape where there is none. */
export function cutPiece(
  art: Art,
  traced: Pick<Traced, 'path'> | undefined,
  { id, look, scale = 1, shape = 'rectangle' }: Made,
): Piece {
  const bare = picturePiece(art, { id, look, scale });
  if (!traced) return shaped(bare, shape);
  const { width, height } = artSize(art);
  const about = nested(scaling(scale), translation(-width / 2, -height / 2));
  const built = withBuild(bare, {
    ...plainBuild(bare.edge, art.name),
    ...STICKER_EDGE,
    parts: [pathPart(mapPath(traced.path, about), art.name)],
  });
  return isProblem(built) ? bare : built;
}

/** A picture in a plain shape that it fills. */
function shaped(piece: Piece, shape: BoxShape): Piece {
  if (shape === 'rectangle') return piece;
  const { width, height } = pieceSize(piece);
  const side = Math.min(width, height);
  if (shape === 'circle') return { ...piece, edge: plainShape('circle', side, side) };
  return { ...piece, edge: plainShape('rectangle', width, height, side * ROUNDED) };
}

/** A part of a page as a piece: cut around what it shows, or by its box where it has no outline of its own. */
export async function tracedPiece(art: Art, made: Made): Promise<Piece> {
  const args = { art, tolerance: USUAL_TOLERANCE };
  const traced = await artCalls.call('traceArt', args).answer;
  const hasOutline = traced.ok && !withoutOutline(art, traced.value);
  return cutPiece(art, hasOutline ? traced.value : undefined, made);
}
