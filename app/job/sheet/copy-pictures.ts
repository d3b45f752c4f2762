import { computed, onBeforeUnmount, shallowRef, watch, type Ref } from 'vue';
import { pathData, type DrawingNode } from '../../../core/drawing/index.ts';
import { translation, type Path } from '../../../core/geometry/index.ts';
import type { CompiledPiece } from '../../../core/piece/index.ts';
import { findPrintClip, type CompiledSheet, type SheetCopy } from '../../../core/sheet/index.ts';
import { drawnPicture } from '../../ui/drawn-picture.ts';
import { pageSources, resourceVersion } from '../../session/page-resources.ts';

/** One drawing that copies share: a piece, cut off where its bleed may not reach. */
interface CopyPicture {
  readonly piece: CompiledPiece;
  readonly version: number;
  readonly url: string;
  /** Half the side of the square that is drawn, about the piece's centre, mm. */
  readonly rim: number;
}

/**
 * The copies of a sheet as images: hundreds of them are one item each for the browser to paint,
 * where their drawings would be tens of thousands. Sharp at every zoom, as they stay vectors.
 */
export function useCopyPictures(sheet: Ref<CompiledSheet>) {
  const pictures = shallowRef<ReadonlyMap<string, CopyPicture>>(new Map());
  let round = 0;

  /** The picture of a copy; until it is drawn, another one of its piece. */
  function find(copy: SheetCopy): CopyPicture | undefined {
    return (
      pictures.value.get(keyOf(copy, clips.value.get(copy))) ?? pictures.value.get(copy.symbol)
    );
  }

  const clips = computed(
    () => new Map(sheet.value.copies.map((copy) => [copy, findPrintClip(copy, sheet.value.zones)])),
  );

  async function draw(): Promise<void> {
    const mine = ++round;
    const version = resourceVersion.value;
    const made = new Map<string, CopyPicture>();
    for (const [copy, clip] of clips.value) {
      const key = keyOf(copy, clip);
      if (made.has(key)) continue;
      const known = pictures.value.get(key);
      const picture =
        known?.piece === copy.piece && known.version === version
          ? known
          : { ...(await makePicture(copy.piece, clip)), piece: copy.piece, version };
      made.set(key, picture);
      if (!made.has(copy.symbol)) made.set(copy.symbol, picture);
      if (mine !== round) return release(made, pictures.value);
    }
    const before = pictures.value;
    pictures.value = made;
    release(before, made);
  }

  watch([clips, resourceVersion], () => void draw(), { immediate: true });
  onBeforeUnmount(() => {
    round++;
    release(pictures.value, new Map());
  });

  return { find };
}

const keyOf = ({ symbol }: SheetCopy, clip: Path | undefined): string =>
  `${symbol} ${clip ? pathData(clip) : ''}`;

/** Gives back the addresses of pictures that are no longer shown. */
function release(
  pictures: ReadonlyMap<string, CopyPicture>,
  shown: ReadonlyMap<string, CopyPicture>,
): void {
  const kept = new Set([...shown.values()].map(({ url }) => url));
  for (const { url } of pictures.values()) if (!kept.has(url)) URL.revokeObjectURL(url);
}

async function makePicture(
  piece: CompiledPiece,
  clip: Path | undefined,
): Promise<{ url: string; rim: number }> {
  const rim = Math.hypot(piece.width, piece.height) / 2 + piece.piece.bleed;
  const middle: DrawingNode = {
    kind: 'group',
    transform: translation(rim, rim),
    children: clip ? [{ kind: 'group', clip, children: piece.nodes }] : piece.nodes,
  };
  const drawing = { width: 2 * rim, height: 2 * rim, symbols: {}, nodes: [middle] };
  return { url: await drawnPicture(drawing, pageSources), rim };
}
