import { onBeforeUnmount, shallowRef, watch, type Ref } from 'vue';
import { pathData, type DrawingNode } from '../../../core/drawing/index.ts';
import { translation, type Path } from '../../../core/geometry/index.ts';
import type { CompiledPiece } from '../../../core/piece/index.ts';
import { findPrintClip, type CompiledSheet, type SheetCopy } from '../../../core/sheet/index.ts';
import { drawnPicture } from '../../ui/drawn-picture.ts';
import { nextTurn } from '../../ui/next-turn.ts';
import { pageSources, resourceVersion } from '../../session/page-resources.ts';

/** One drawing that copies share: a piece, cut off where its bleed may not reach. */
interface CopyPicture {
  readonly piece: CompiledPiece;
  readonly version: number;
  readonly url: string;
  /** Whether its pictures are coarse for now. */
  readonly isRough: boolean;
  /** Half the side of the square that is drawn, about the piece's centre, mm. */
  readonly rim: number;
}

/** The pictures that copies need by their keys, each with a copy of it and how that is cut off. */
type Wanted = ReadonlyMap<string, { readonly copy: SheetCopy; readonly clip: Path | undefined }>;

/** From so many new drawings on they are shown roughly at first: to make pictures smaller takes its time. */
const MANY = 2;
/** Pixels a side that are enough for a sheet as a whole. */
const ROUGH_PIXELS = 250;
/** Without a change for so long, ms, what is rough is drawn finely. */
const REST = 3000;
/** Clips are worked out for so long, ms, before the page may answer. */
const SLICE = 10;

/**
 * The copies of a sheet as images: hundreds of them are one item each for the browser to paint,
 * where their drawings would be tens of thousands. Sharp at every zoom, as they stay vectors.
 */
export function useCopyPictures(sheet: Ref<CompiledSheet>) {
  const pictures = shallowRef<ReadonlyMap<string, CopyPicture>>(new Map());
  let round = 0;
  let resting: ReturnType<typeof setTimeout> | undefined;

  /** The picture of each copy, by its key. */
  const keys = new WeakMap<SheetCopy, string>();

  /** The picture of a copy; until it is drawn, another one of its piece. */
  function find(copy: SheetCopy): CopyPicture | undefined {
    return pictures.value.get(keys.get(copy) ?? copy.symbol) ?? pictures.value.get(copy.symbol);
  }

  /** What is wanted now; nothing where that is asked anew meanwhile. */
  async function findWanted(mine: number): Promise<Wanted | undefined> {
    const { copies, zones } = sheet.value;
    const wanted = new Map<string, { copy: SheetCopy; clip: Path | undefined }>();
    let begun = performance.now();
    for (const copy of copies) {
      if (performance.now() - begun > SLICE) {
        await nextTurn();
        if (mine !== round) return undefined;
        begun = performance.now();
      }
      const clip = findPrintClip(copy, zones);
      const key = keyOf(copy, clip);
      keys.set(copy, key);
      wanted.set(key, { copy, clip });
    }
    return wanted;
  }

  async function draw(finely: boolean): Promise<void> {
    clearTimeout(resting);
    const mine = ++round;
    const wanted = await findWanted(mine);
    if (!wanted) return;
    const version = resourceVersion.value;
    const isKnown = (copy: SheetCopy, found: CopyPicture | undefined): found is CopyPicture =>
      found?.piece === copy.piece && found.version === version && !(finely && found.isRough);
    const missing = [...wanted].filter(
      ([key, { copy }]) => !isKnown(copy, pictures.value.get(key)),
    );
    const isRough = !finely && missing.length > MANY;
    const made = new Map<string, CopyPicture>();
    for (const [key, { copy, clip }] of wanted) {
      const known = pictures.value.get(key);
      const picture = isKnown(copy, known)
        ? known
        : {
            ...(await makePicture(copy.piece, clip, isRough)),
            piece: copy.piece,
            version,
            isRough,
          };
      made.set(key, picture);
      if (!made.has(copy.symbol)) made.set(copy.symbol, picture);
      if (mine !== round) return release(made, pictures.value);
    }
    const before = pictures.value;
    pictures.value = made;
    release(before, made);
    if ([...made.values()].some((picture) => picture.isRough))
      resting = setTimeout(() => void draw(true), REST);
  }

  watch([sheet, resourceVersion], () => void draw(false), { immediate: true });
  onBeforeUnmount(() => {
    round++;
    clearTimeout(resting);
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
  isRough: boolean,
): Promise<{ url: string; rim: number }> {
  const rim = Math.hypot(piece.width, piece.height) / 2 + piece.piece.bleed;
  const middle: DrawingNode = {
    kind: 'group',
    transform: translation(rim, rim),
    children: clip ? [{ kind: 'group', clip, children: piece.nodes }] : piece.nodes,
  };
  const drawing = { width: 2 * rim, height: 2 * rim, symbols: {}, nodes: [middle] };
  const most = isRough ? ROUGH_PIXELS : undefined;
  return { url: await drawnPicture(drawing, pageSources, most), rim };
}
