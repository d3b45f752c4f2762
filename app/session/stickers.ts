import { USUAL_TOLERANCE, type Art, type ReadArt } from '../../core/art/index.ts';
import type { Piece, PieceLook } from '../../core/piece/index.ts';
import {
  cutPiece,
  stickerPiece,
  withoutOutline,
  type BoxShape,
  type StickerCut,
} from '../../core/prepare/index.ts';
import { artCalls, calls } from '../calls/index.ts';
import { keepInDrawer } from '../storage/index.ts';

/** How pictures become stickers. */
export interface StickerChoices {
  /** Where they are cut, by their art, as far as that is known. */
  readonly cuts: ReadonlyMap<string, StickerCut>;
  readonly shape: BoxShape;
}

export const USUAL_STICKERS: StickerChoices = { cuts: new Map(), shape: 'rectangle' };

/** Pieces from pictures, each cut by what it is, one for each drawing of a page, with the art that they name. */
export async function stickersFrom(
  reads: readonly ReadArt[],
  { cuts, shape }: StickerChoices,
  progress: (done: number) => void = () => undefined,
): Promise<{ pieces: readonly Piece[]; art: readonly Art[] }> {
  const pieces: Piece[] = [];
  const art = new Map<string, Art>();
  for (const [at, read] of reads.entries()) {
    progress(at + 1);
    const known = cuts.get(read.art.id);
    // Whoever does not wait for what is found gets the same.
    const found = known ? [known] : await calls.call('cutStickers', { read }).answer;
    for (const cut of found) {
      const shown = cut.read.art;
      if (shown.id !== read.art.id) await keepInDrawer(cut.read, Date.now());
      pieces.push(cut.piece ?? stickerPiece(shown, cut.traced, shape));
      // What a picture was made from comes along: its recipe can be changed later.
      const origin = found.length === 1 ? read.art : undefined;
      for (const one of [origin, shown, cut.from]) if (one) art.set(one.id, one);
    }
  }
  return { pieces, art: [...art.values()] };
}

/** A part of a page as a piece: cut around what it shows, or by its box where it has no outline of its own. */
export async function tracedPiece(art: Art, made: { id: string; look: PieceLook }): Promise<Piece> {
  const args = { art, tolerance: USUAL_TOLERANCE };
  const traced = await artCalls.call('traceArt', args).answer;
  const hasOutline = traced.ok && !withoutOutline(art, traced.value);
  return cutPiece(art, hasOutline ? traced.value : undefined, made);
}
