import { err, ok, type Platform, type Result } from '../base/index.ts';
import {
  artSize,
  clearBackground,
  isDrawnVector,
  makeArt,
  makePixels,
  partImage,
  partOf,
  pixelArt,
  readArt,
  readPixels,
  splitPage,
  titleOf,
  traceImage,
  traceVector,
  USUAL_SPECK,
  vectorNodes,
  type Art,
  type Clearing,
  type PagePart,
  type PixelRecipe,
  type ReadArt,
  type Recipe,
  type SplitPage,
  type Splitting,
  type Traced,
} from '../art/index.ts';
import { dominantColors } from '../color/index.ts';
import { pathData } from '../drawing/index.ts';
import { fitCurves } from '../geometry/index.ts';
import { drawShapes } from '../output/index.ts';
import { SubjectFinder, type OfferedHole } from '../subject/index.ts';
import { contours, shrunkImage, type RgbaImage, type RunGroup } from '../raster/index.ts';

/** Gives the kept bytes of art by its hash; undefined when they are lost. */
export type KeptBytes = (id: string) => Promise<Uint8Array | undefined>;

/** A picture as it would come out, small enough to look at while a choice is changed. */
export interface Preview {
  readonly image: RgbaImage;
  /** Pixels of the picture for each pixel of the preview. */
  readonly scale: number;
  /** Size of the picture itself in pixels. */
  readonly width: number;
  readonly height: number;
  /** Holes in a freed subject that may be opened. */
  readonly holes?: readonly OfferedHole[];
}

/** What a page is split with. Vector pages are drawn at this resolution first. */
export interface SplitRequest {
  readonly art: Art;
  readonly dpi: number;
  /** How a page on paper is cleared; where a page has no border of one colour left, nothing is. */
  readonly clear: Clearing;
  readonly gap: number;
  readonly least: number;
  readonly cuts: NonNullable<Splitting['cuts']>;
}

/** A split page as it is shown: parts and the outlines of their patches in pixels. */
export interface ShownSplit {
  readonly width: number;
  readonly height: number;
  /** Pixels for each mm. */
  readonly perMm: number;
  readonly parts: readonly PagePart[];
  /** SVG path data of the patches that are shown, by their number. */
  readonly outlines: Readonly<Record<number, string>>;
  /** The box and covered pixels of each patch of a part that can be taken apart. */
  readonly boxes: Readonly<Record<number, Omit<PagePart, 'title' | 'patches'>>>;
  readonly specks: number;
}

/** Art from a page's parts, and where each stands on the page in mm from its top left corner. */
export interface PlacedArt {
  readonly read: ReadArt;
  readonly x: number;
  readonly y: number;
}

/**
 * Prepares kept art: previews, splits, traces. What was decoded last is remembered, since one
 * picture is asked about many times while a person tries what suits it.
 */
export class Preparer {
  private readonly platform: Platform;
  private readonly bytes: KeptBytes;
  private decoded: { key: string; image: RgbaImage } | undefined;
  private small: { key: string; preview: Preview } | undefined;
  private finder: { id: string; finder: SubjectFinder } | undefined;
  private page: { key: string; image: RgbaImage; split: SplitPage } | undefined;

  constructor(platform: Platform, bytes: KeptBytes) {
    this.platform = platform;
    this.bytes = bytes;
  }

  /** A picture by a recipe, at most `most` pixels wide and high. */
  async preview(art: Art, recipe: PixelRecipe | null, most: number): Promise<Result<Preview>> {
    const image = await this.image(art, 300);
    if (!image.ok) return image;
    const small = this.smaller(art.id, image.value, most);
    if (!recipe) return ok(small);
    const strokes = recipe.strokes.map((stroke) => ({
      ...stroke,
      radius: stroke.radius / small.scale,
      points: stroke.points.map(([x, y]): [number, number] => [x / small.scale, y / small.scale]),
    }));
    const finder = recipe.free && this.finderOf(art.id, image.value);
    const made = makePixels(small.image, { ...recipe, strokes }, finder);
    return ok({
      ...small,
      image: made,
      ...(recipe.free && finder ? { holes: finder.find(recipe.free).holes } : {}),
    });
  }

  /** Art made by a recipe, at its full size. */
  async make(art: Art, recipe: Recipe): Promise<Result<ReadArt>> {
    const bytes = await this.bytes(art.id);
    return bytes ? makeArt(this.platform, { art, bytes }, recipe) : this.gone(art);
  }

  /**
   * A drawing that came in by an earlier reader, taken in by the one of today; undefined where that shows
   * the same. The file is still there: it is what was kept.
   */
  async readAgain(art: Art): Promise<Result<ReadArt | undefined>> {
    const bytes = await this.bytes(art.id);
    if (!bytes) return this.gone(art);
    if (art.kind !== 'vector' || art.made || isDrawnVector(bytes)) return ok(undefined);
    const read = await readArt(this.platform, bytes, art.name);
    if (!read.ok) return ok(undefined);
    const dpi = (25.4 * SEEN_SIDE) / Math.max(art.width, art.height);
    const [was, is] = await Promise.all(
      [bytes, read.value.bytes].map((kept) =>
        drawShapes(this.platform, { ...artSize(art), nodes: vectorNodes(kept) }, dpi),
      ),
    );
    return ok(was && is && isOther(was, is) ? read.value : undefined);
  }

  /** The outline of art in mm from its top left corner, at the size that it has by itself. */
  async trace(art: Art, tolerance: number): Promise<Result<Traced>> {
    if (art.kind === 'vector') {
      const bytes = await this.bytes(art.id);
      return bytes ? traceVector(vectorNodes(bytes)) : this.gone(art);
    }
    const image = await this.image(art, art.dpi);
    return image.ok
      ? traceImage(image.value, { perMm: art.dpi / 25.4, tolerance, least: USUAL_SPECK })
      : image;
  }

  /** The colours that cover most of a picture, the largest first. */
  async colors(art: Art, most: number): Promise<Result<string[]>> {
    const image = await this.image(art, COLORS_DPI);
    if (!image.ok) return image;
    const by = Math.max(1, Math.max(image.value.width, image.value.height) / COLORS_SIDE);
    return ok(dominantColors(shrunkImage(image.value, by), most));
  }

  async split(request: SplitRequest): Promise<Result<ShownSplit>> {
    const done = await this.splitted(request);
    if (!done.ok) return done;
    const { split } = done.value;
    const { width, height, parts, specks } = split;
    const outlines: Record<number, string> = {};
    const boxes: Record<number, ShownSplit['boxes'][number]> = {};
    for (const part of parts) {
      for (const at of largest(split, part)) outlines[at] = outlineOf(split, at);
      if (part.patches.length > MOST_APART) continue;
      for (const at of part.patches) {
        const { left, top, right, bottom, area } = split.patches[at] as RunGroup;
        boxes[at] = { left, top, right, bottom, area };
      }
    }
    return ok({ width, height, perMm: perMmOf(request), parts, outlines, boxes, specks });
  }

  /** Each group of patches as art of its own, trimmed; names count up in the order given. */
  async parts(
    request: SplitRequest,
    groups: readonly (readonly number[])[],
    names: readonly string[],
  ): Promise<Result<PlacedArt[]>> {
    const done = await this.splitted(request);
    if (!done.ok) return done;
    const { image, split } = done.value;
    const perMm = perMmOf(request);
    const { tags, source, licence } = request.art;
    return ok(
      groups.map((patches, at) => {
        const part = partOf(split.patches, patches, false);
        const known = {
          name: names[at] ?? `${titleOf(request.art.name)} ${at + 1}`,
          tags: [...tags],
          ...(source === undefined ? {} : { source }),
          ...(licence === undefined ? {} : { licence }),
        };
        const read = pixelArt(partImage(image, split, part), perMm * 25.4, known);
        return { read, x: part.left / perMm, y: part.top / perMm };
      }),
    );
  }

  private async splitted(
    request: SplitRequest,
  ): Promise<Result<{ image: RgbaImage; split: SplitPage }>> {
    const { art, dpi, clear, gap, least, cuts } = request;
    const key = JSON.stringify([art.id, dpi, clear, gap, least, cuts]);
    if (this.page?.key === key) return ok(this.page);
    const read = await this.image(art, dpi);
    if (!read.ok) return read;
    const { image } = clearBackground(read.value, clear);
    const split = splitPage(image, { perMm: perMmOf(request), gap, least, cuts });
    this.page = { key, image, split };
    return ok(this.page);
  }

  /** The pixels of art as it is seen; vector art is drawn at a resolution. */
  private async image(art: Art, dpi: number): Promise<Result<RgbaImage>> {
    const key = art.kind === 'vector' ? `${art.id} ${dpi}` : art.id;
    if (this.decoded?.key === key) return ok(this.decoded.image);
    const bytes = await this.bytes(art.id);
    if (!bytes) return this.gone(art);
    const image =
      art.kind === 'vector'
        ? ok(await drawShapes(this.platform, { ...artSize(art), nodes: vectorNodes(bytes) }, dpi))
        : await readPixels(this.platform, bytes, art.name);
    if (image.ok) this.decoded = { key, image: image.value };
    return image;
  }

  /** What finds the subject of a picture: it remembers what strokes came to. */
  private finderOf(id: string, image: RgbaImage): SubjectFinder {
    if (this.finder?.id !== id) this.finder = { id, finder: new SubjectFinder(image) };
    return this.finder.finder;
  }

  private smaller(id: string, image: RgbaImage, most: number): Preview {
    const key = `${id} ${most}`;
    if (this.small?.key === key) return this.small.preview;
    const { width, height } = image;
    const scale = Math.max(1, width / most, height / most);
    const preview: Preview =
      scale === 1
        ? { image, scale, width, height }
        : {
            image: shrunkImage(image, scale),
            scale,
            width,
            height,
          };
    this.small = { key, preview };
    return preview;
  }

  private gone(art: Art): Result<never> {
    return err('art/gone', {}, art.name);
  }
}

const perMmOf = ({ art, dpi }: Pick<SplitRequest, 'art' | 'dpi'>): number =>
  (art.kind === 'pixels' ? art.dpi : dpi) / 25.4;

/** How large two drawings are compared, px, from what difference on, and in how much of them. */
const SEEN_SIDE = 240;
const SEEN = 40;
const SEEN_SHARE = 0.005;

/** Whether two pictures of one size look different. */
function isOther(one: RgbaImage, other: RgbaImage): boolean {
  let away = 0;
  for (let at = 0; at < one.data.length; at += 4)
    if (
      [0, 1, 2, 3].some((c) => Math.abs((one.data[at + c] ?? 0) - (other.data[at + c] ?? 0)) > SEEN)
    )
      away++;
  return away > one.width * one.height * SEEN_SHARE;
}

const COLORS_DPI = 72; // at which vectors are drawn to count their colours
const COLORS_SIDE = 400; // px
const MOST_SHOWN = 400; // pixels of an outline's mask
/** Patches of one part that are drawn, and up to which it can be taken apart. */
const MOST_APART = 400;

/** The patches of a part that are seen: the largest ones, where it is made of very many. */
function largest({ patches }: SplitPage, part: PagePart): readonly number[] {
  if (part.patches.length <= MOST_APART) return part.patches;
  const area = (at: number): number => patches[at]?.area ?? 0;
  return [...part.patches].sort((one, other) => area(other) - area(one)).slice(0, MOST_APART);
}

/** The outline of a patch as it is shown: no finer than a screen needs. */
function outlineOf(page: SplitPage, at: number): string {
  const patch = page.patches[at];
  if (!patch) return '';
  const step = Math.max(
    1,
    (patch.right - patch.left) / MOST_SHOWN,
    (patch.bottom - patch.top) / MOST_SHOWN,
  );
  const width = Math.ceil((patch.right - patch.left) / step);
  const height = Math.ceil((patch.bottom - patch.top) / step);
  const mask = { width, height, data: new Uint8Array(width * height) };
  for (const run of patch.runs) {
    const y = Math.floor(((page.runs.y[run] as number) - patch.top) / step);
    const from = Math.floor(((page.runs.x[run] as number) - patch.left) / step);
    const to = Math.ceil(((page.runs.end[run] as number) - patch.left) / step);
    mask.data.fill(255, y * width + from, y * width + Math.min(width, to));
  }
  const rings = contours(mask).map((ring) =>
    ring.map(({ x, y }) => ({ x: patch.left + x * step, y: patch.top + y * step })),
  );
  return pathData(fitCurves(rings, { tolerance: step, blur: step }).path);
}
