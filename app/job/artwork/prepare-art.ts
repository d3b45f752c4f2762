import { computed, ref } from 'vue';
import { artSize, USUAL_TOLERANCE, type Art, type ReadArt } from '../../../core/art/index.ts';
import { isProblem } from '../../../core/base/index.ts';
import { mapPath, translation } from '../../../core/geometry/index.ts';
import { withBuild } from '../../../core/job/index.ts';
import { picturePiece, type Piece } from '../../../core/piece/index.ts';
import type { PlacedArt } from '../../../core/prepare/index.ts';
import type { HandPlace } from '../../../core/sheet/index.ts';
import { pathPart, plainBuild } from '../../../core/shape/index.ts';
import { useDrawer } from '../../art/drawer-store.ts';
import { artCalls } from '../../calls/index.ts';
import { keepInDrawer } from '../../storage/index.ts';
import { texts } from '../../texts/index.ts';
import { useMessages } from '../../ui/messages-store.ts';
import type { DeskState } from './desk-state.ts';

/** Lets the desk answer between two pieces of work. */
const breathe = (): Promise<void> => new Promise((go) => setTimeout(go, 0));

const RIM = 2; // mm around a piece that was split from a page

/** Prepares art of the job on the art bench, and takes what comes of it back into the job. */
export function usePrepareArt(desk: DeskState) {
  const { store } = desk;
  const messages = useMessages();
  const drawer = useDrawer();
  const id = ref<string>();
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
  async function pieceOf({ read }: PlacedArt, like: Piece): Promise<Piece> {
    const { art: own } = read;
    const { width, height } = artSize(own);
    const traced = await artCalls.call('traceArt', { art: own, tolerance: USUAL_TOLERANCE }).answer;
    const { id: wanted, bleed, safe, ground } = like;
    const look = { bleed, safe: Math.min(safe, 1), ground };
    const bare = picturePiece(own, { id: wanted, look });
    if (!traced.ok) return bare;
    const path = mapPath(traced.value.path, translation(-width / 2, -height / 2));
    const built = withBuild(bare, {
      ...plainBuild(bare.edge, own.name),
      parts: [pathPart(path, own.name)],
      offset: RIM,
      holes: 'fill',
      join: 'offset',
    });
    return isProblem(built) ? bare : built;
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
        await breathe();
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
        await breathe();
      }
    } catch (error) {
      messages.sayError(error);
    }
  }

  /** Opens art of the job on the bench. */
  function open(wanted: string): void {
    id.value = wanted;
    void drawer.refresh().catch(messages.sayError);
  }

  return { art, known, open, close, made, pieces };
}

export type ArtPreparation = ReturnType<typeof usePrepareArt>;
