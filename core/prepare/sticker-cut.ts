import {
  artSize,
  clearBackground,
  findBorderColor,
  madePixels,
  makePixels,
  partImage,
  pixelArt,
  PLAIN_PIXELS,
  readPixels,
  splitPage,
  traceImage,
  traceVector,
  USUAL_CLEARING,
  USUAL_SPECK,
  USUAL_SPLITTING,
  USUAL_TOLERANCE,
  vectorNodes,
  type Art,
  type ReadArt,
  type Traced,
} from '../art/index.ts';
import { ok, type Platform, type Result } from '../base/index.ts';
import { flatten, offsetRegion, signedArea, type Path } from '../geometry/index.ts';
import type { Piece } from '../piece/index.ts';
import {
  groupRuns,
  isOneColor,
  isOpaque,
  runsOf,
  shrunkImage,
  type RgbaImage,
  type RunGroup,
} from '../raster/index.ts';
import { stickerPiece } from './sticker-piece.ts';

/**
 * How a picture becomes a sticker: cut by the outline that it has, by the one that it has without its plain
 * ground, or by its box: of a photograph whose subject is to be freed, of a page of many drawings, and of
 * what has no outline of its own.
 */
export type StickerWay = 'outline' | 'cleared' | 'photograph' | 'page' | 'box';

/** A picture as a sticker. */
export interface StickerCut {
  readonly way: StickerWay;
  /** What the sticker shows: the picture that was given, or the same without its ground. */
  readonly read: ReadArt;
  /** What that was freed from by hand: it comes along, so that this can be changed later. */
  readonly from?: Art;
  /** Where it is cut, in mm of what it shows; its box where this is missing. */
  readonly traced?: Traced;
  /** The piece that it becomes, where it is cut by an outline: to build its edge takes a while. */
  readonly piece?: Piece;
}

/** How closely lines are followed where only parts are counted, mm. */
const ROUGH = 0.05;
/** A picture that covers so much of its box has no outline of its own. */
const FULL = 0.99;
/** More separate parts than that are a page of drawings, to be split, and no sticker. */
const MOST_PARTS = 6;
/** Letters of a page’s name that go on to its drawings. */
const MOST_NAME = 190;
/** Side at which it is looked whether a picture lies on a plain ground, px. */
const LOOK_SIDE = 400;
/** Of a plain ground so much of the border is clear once it is cleared, and of the picture between these. */
const PLAIN_BORDER = 0.9;
const [LEAST_GROUND, MOST_GROUND] = [0.08, 0.98];
/** How much pixels of a plain ground differ from those so many px further on, on average, bytes. */
const SMOOTH = 4;
const STRIDE = 6;

/**
 * The stickers that a picture becomes: one, or each drawing of a page of many, in reading order and without
 * its lettering. Its pixels need not be decoded where they are `known`.
 */
export async function cutStickers(
  platform: Platform,
  read: ReadArt,
  known?: RgbaImage,
): Promise<StickerCut[]> {
  const { cut, clear } = await findCut(platform, read, known);
  const drawings = cut.way === 'page' && clear ? drawingsOf(clear, read.art) : [];
  return (drawings.length > 1 ? drawings : [cut]).map(withPiece);
}

/** A cut with the piece that it becomes. */
export const withPiece = (cut: StickerCut): StickerCut =>
  cut.traced ? { ...cut, piece: stickerPiece(cut.read.art, cut.traced) } : cut;

/** Each drawing of a clear page, cut by its own outline. */
function drawingsOf({ image, dpi }: ClearPicture, art: Art): StickerCut[] {
  const page = splitPage(image, { ...USUAL_SPLITTING, perMm: dpi / 25.4 });
  const parts = page.parts.filter(({ title }) => !title);
  return parts.map((part, at): StickerCut => {
    const drawing = partImage(image, page, part);
    const name = `${art.name.slice(0, MOST_NAME)} ${at + 1}`;
    const made = pixelArt(drawing, dpi, { ...art, name });
    return cutBy(made, traced({ image: drawing, dpi }), 'outline');
  });
}

/** Finds where a picture as a whole is cut as a sticker, and clears the plain ground that it lies on. */
export async function cutSticker(platform: Platform, read: ReadArt): Promise<StickerCut> {
  return (await findCut(platform, read)).cut;
}

/** Pixels of which what is not shown is clear. */
interface ClearPicture {
  readonly image: RgbaImage;
  readonly dpi: number;
}

/** Where a picture is cut, and its pixels where they are clear around what they show. */
async function findCut(
  platform: Platform,
  read: ReadArt,
  known?: RgbaImage,
): Promise<{ cut: StickerCut; clear?: ClearPicture }> {
  const { art, bytes } = read;
  if (art.kind === 'vector')
    return { cut: cutBy(read, traceVector(vectorNodes(bytes)), 'outline') };
  const seen = known ? ok(known) : await readPixels(platform, bytes, art.name);
  if (!seen.ok || isOneColor(seen.value)) return { cut: { way: 'box', read } };
  const { dpi } = art;
  if (!isOpaque(seen.value)) {
    const clear = { image: seen.value, dpi };
    return { cut: cutBy(read, traced(clear), 'outline'), clear };
  }
  if (!liesOnPlain(seen.value)) return { cut: { way: 'photograph', read } };
  const recipe = { ...PLAIN_PIXELS, clear: USUAL_CLEARING };
  const clear = { image: makePixels(seen.value, recipe), dpi };
  return { cut: cutBy(madePixels(clear.image, art, recipe), traced(clear), 'cleared'), clear };
}

const traced = ({ image, dpi }: ClearPicture): Result<Traced> =>
  traceImage(image, { perMm: dpi / 25.4, tolerance: USUAL_TOLERANCE, least: USUAL_SPECK });

function cutBy(read: ReadArt, found: Result<Traced>, way: 'outline' | 'cleared'): StickerCut {
  if (!found.ok) return { way: 'box', read };
  const without = withoutOutline(read.art, found.value);
  return without ? { way: without, read } : { way, read, traced: found.value };
}

/** What a picture is that is not cut by what was traced of it; undefined where it is. */
export function withoutOutline(
  art: Art,
  { parts, area, path }: Traced,
): 'page' | 'box' | undefined {
  const { width, height } = artSize(art);
  if (parts > MOST_PARTS && countApart(path) > MOST_PARTS) return 'page';
  return area > FULL * width * height ? 'box' : undefined;
}

/** Of a picture: what covers less is a fleck. */
const FLECK = 0.001;

/**
 * Whether what is left of a cleared picture is more than what it shows: a table that goes from side to side,
 * or something that reaches in beside what stands free.
 */
function standsInRoom({ width, height, data }: RgbaImage): boolean {
  const runs = runsOf({ width, height, data, stride: 4, offset: 3 }, 128);
  const parts = groupRuns(runs, height).filter(({ area }) => area > FLECK * width * height);
  const isAt = {
    left: parts.some(({ left }) => left === 0),
    top: parts.some(({ top }) => top === 0),
    right: parts.some(({ right }) => right === width),
    bottom: parts.some(({ bottom }) => bottom === height),
  };
  if ((isAt.left && isAt.right) || (isAt.top && isAt.bottom)) return true;
  const [largest] = [...parts].sort((one, other) => other.area - one.area);
  const isFree = ({ left, top, right, bottom }: RunGroup): boolean =>
    left > 0 && top > 0 && right < width && bottom < height;
  return largest !== undefined && isFree(largest) && !parts.every(isFree);
}

/** Parts that stand apart: those that are nearer to each other than drawings of a page are one. */
function countApart(path: Path): number {
  const near = offsetRegion(flatten(path, ROUGH), USUAL_SPLITTING.gap / 2);
  return near.filter((ring) => signedArea(ring) > 0).length;
}

/** Whether something lies on a ground of one colour that goes all around it. */
function liesOnPlain(image: RgbaImage): boolean {
  const longer = Math.max(image.width, image.height);
  const small = shrunkImage(image, Math.max(1, longer / LOOK_SIDE));
  if (findBorderColor(small) === undefined) return false;
  const cleared = clearBackground(small, USUAL_CLEARING).image;
  const { width, height, data } = cleared;
  let [clear, border, clearBorder, pairs, rough] = [0, 0, 0, 0, 0];
  for (let y = 0, at = 3; y < height; y++)
    for (let x = 0; x < width; x++, at += 4) {
      const isClear = (data[at] as number) < 128;
      const isBorder = x === 0 || y === 0 || x === width - 1 || y === height - 1;
      if (isClear) clear++;
      const further = at - STRIDE * 4;
      if (isClear && x >= STRIDE && (data[further] as number) < 128) {
        pairs++;
        for (let c = 1; c <= 3; c++)
          rough +=
            Math.abs((small.data[at - c] as number) - (small.data[further - c] as number)) / 3;
      }
      if (!isBorder) continue;
      border++;
      if (isClear) clearBorder++;
    }
  if (standsInRoom(cleared)) return false;
  const share = clear / (width * height);
  const isSmooth = rough <= pairs * SMOOTH;
  return (
    isSmooth && clearBorder > border * PLAIN_BORDER && share > LEAST_GROUND && share < MOST_GROUND
  );
}
