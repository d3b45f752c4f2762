import { computed, watch } from 'vue';
import { artSize, type Art, type ReadArt } from '../../../core/art/index.ts';
import type { Piece } from '../../../core/piece/index.ts';
import type { PlacedArt } from '../../../core/prepare/index.ts';
import type { HandPlace } from '../../../core/sheet/index.ts';
import { useDrawer } from '../../art/drawer-store.ts';
import { tracedPiece } from '../../session/stickers.ts';
import { keepInDrawer } from '../../storage/index.ts';
import { texts } from '../../texts/index.ts';
import { useMessages } from '../../ui/messages-store.ts';
import { nextTurn } from '../../ui/next-turn.ts';
import type { DeskState } from '../artwork-state/desk-state.ts';

/** Prepares art of the job on the art bench, and takes what comes of it back into the job. */
export function usePrepareArt(desk: DeskState) {
  const { store } = desk;
  const messages = useMessages();
  const drawer = useDrawer();
  const id = desk.preparing;
  const art = computed(() => (id.value === undefined ? undefined : store.job?.art[id.value]));
  const known = (wanted: string): Art | undefined =>
    store.job?.art[wanted] ?? drawer.all.find((one) => one.art.id === wanted)?.art;

  function close(): void {
    id.value = undefined;
  }

  /** The prepared picture in the place of the one that was opened, wherever the job has it. */
  async function made(read: ReadArt, original: Art): Promise<void> {
    const from = id.value;
    close();
    if (from === undefined || from === read.art.id) return;
    try {
      await keepInDrawer(read, Date.now());
      store.act({
        name: 'replace-art',
        args: { from, to: read.art, also: [original], doing: 'prepare' },
      });
    } catch (error) {
      messages.sayError(error);
    }
  }

  /** One part of a page as a piece: the picture at its true size, its outline with a rim as the edge. */
  function pieceOf(
    { read }: PlacedArt,
    { id: wanted, bleed, safe, ground }: Piece,
  ): Promise<Piece> {
    const look = { bleed, safe: Math.min(safe, 1), ground };
    return tracedPiece(read.art, { id: wanted, look });
  }

  /** Every part of a page as a piece of the job, in its place on the sheet. */
  async function pieces(parts: readonly PlacedArt[]): Promise<void> {
    const like = desk.piece.value;
    if (!like) return;
    const page = id.value;
    close();
    // The piece on which only the page stood was there to bring it in.
    const [only] = like.elements;
    const wasForPage =
      like.elements.length === 1 && only?.kind === 'picture' && only.art === page && !like.variant;
    try {
      for (const [index, part] of parts.entries()) {
        const piece = await pieceOf(part, like);
        await nextTurn();
        const { width, height } = artSize(part.read.art);
        const [picture] = piece.elements;
        const place: HandPlace = {
          sheet: 0,
          x: part.x + width / 2 - (picture?.x ?? 0),
          y: part.y + height / 2 - (picture?.y ?? 0),
          angle: 0,
        };
        // One after the other, so that the desk stays answering; undone as one step.
        const added = store.act(
          {
            name: 'add-pieces',
            args: {
              pieces: [piece],
              art: [part.read.art],
              wanted: 1,
              places: [place],
              ...(index === 0 && wasForPage ? { instead: like.id } : {}),
              doing: texts.artwork.addPieces(parts.length),
            },
          },
          `split:${page}`,
        );
        if (!added) return;
        await nextTurn();
      }
    } catch (error) {
      messages.sayError(error);
    }
  }

  watch(id, (wanted) => {
    if (wanted !== undefined) void drawer.refresh().catch(messages.sayError);
  });

  return { art, known, close, made, pieces };
}

export type ArtPreparation = ReturnType<typeof usePrepareArt>;
