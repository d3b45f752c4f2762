import { computed, onBeforeUnmount, shallowRef, watch, type Ref } from 'vue';
import { pathData, type DrawingNode } from '../../../core/drawing/index.ts';
import { translation, type Path } from '../../../core/geometry/index.ts';
import type { CompiledPiece } from '../../../core/piece/index.ts';
import { findPrintClip, type CompiledSheet, type SheetCopy } from '../../../core/sheet/index.ts';
import { pageSvg, pageSvgFile } from '../../ui/drawing-svg.ts';
import { pageSources, resourceVersion } from '../store/page-resources.ts';

/** One drawing that copies share: a piece, cut off where its bleed may not reach. */
interface CopyPicture {
  readonly piece: CompiledPiece;
  readonly version: number;
  readonly url: string;
  /** Half the side of the square that is drawn, about the piece's centre, mm. */
  readonly rim: number;
}

const MOST_PIXELS = 1000; // a picture in one label of a sheet needs no more on screen

const inlined = new Map<string, Promise<string | undefined>>();

/** A picture as a data address, made smaller: an SVG that is used as an image cannot name others. */
function inlineUrl(art: string): Promise<string | undefined> {
  const known = inlined.get(art) ?? makeInline(art).catch(() => undefined);
  inlined.set(art, known);
  return known;
}

async function makeInline(art: string): Promise<string | undefined> {
  const url = pageSources.imageUrl(art);
  if (!url) {
    inlined.delete(art);
    return undefined;
  }
  const bitmap = await createImageBitmap(await (await fetch(url)).blob());
  const scale = Math.min(1, MOST_PIXELS / Math.max(bitmap.width, bitmap.height));
  const canvas = new OffscreenCanvas(
    Math.max(1, Math.round(bitmap.width * scale)),
    Math.max(1, Math.round(bitmap.height * scale)),
  );
  canvas.getContext('2d')?.drawImage(bitmap, 0, 0, canvas.width, canvas.height);
  bitmap.close();
  const small = await canvas.convertToBlob({ type: 'image/webp', quality: 0.9 });
  return new Promise((done, fail) => {
    const reader = new FileReader();
    reader.onload = () => done(String(reader.result));
    reader.onerror = () => fail(reader.error ?? new Error('unreadable'));
    reader.readAsDataURL(small);
  });
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
  const named = new Set<string>();
  const rim = Math.hypot(piece.width, piece.height) / 2 + piece.piece.bleed;
  const middle: DrawingNode = {
    kind: 'group',
    transform: translation(rim, rim),
    children: clip ? [{ kind: 'group', clip, children: piece.nodes }] : piece.nodes,
  };
  const drawing = { width: 2 * rim, height: 2 * rim, symbols: {}, nodes: [middle] };
  pageSvg(piece.nodes, { ...pageSources, imageUrl: (art) => void named.add(art) }, '');
  const inline = new Map<string, string | undefined>();
  for (const art of named) inline.set(art, await inlineUrl(art));
  const sources = { ...pageSources, imageUrl: (art: string) => inline.get(art) };
  const svg = pageSvgFile(drawing, sources);
  const url = URL.createObjectURL(new Blob([svg], { type: 'image/svg+xml' }));
  const image = new Image();
  image.src = url;
  await image.decode().catch(() => undefined); // so that nothing flickers when it is shown
  return { url, rim };
}
