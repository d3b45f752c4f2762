import { scanPixels } from '../art/index.ts';
import { err, ok, type Platform, type Result } from '../base/index.ts';
import { apply, type Affine, type Point } from '../geometry/index.ts';
import { renderPdf } from '../pdf/index.ts';
import { darkness, greyToRgba, shrunkImage, type RgbaImage } from '../raster/index.ts';
import {
  cornersInPixels,
  findMarks,
  findSheetCorners,
  pictureWithCorners,
  sheetFromAbove,
  whyNotTrusted,
  type PictureWithCorners,
  type Registration,
  type SheetCorners,
} from '../register/index.ts';
import type { CompiledSheet } from '../sheet/index.ts';
import { sheetPdf, type SheetOfJob } from './sheet-pdf.ts';

/** A phone or scanner picture of a printed sheet, for a cutter that cannot look for its marks. */
export interface LoadedPicture {
  readonly bytes: Uint8Array;
  readonly name: string;
  /** What the corners in the picture are of, mm: the sheet itself, or the carrier that it lies on, corner to corner. */
  readonly frame: { readonly width: number; readonly height: number };
  /** Where its corners are as shares of the picture, when a hand has set them; else they are looked for. */
  readonly corners?: SheetCorners;
}

/** How a sheet lies by its picture. */
export interface LoadedSheet extends Pick<Registration, 'residual' | 'confidence'> {
  /** The frame from straight above, `perMm` pixels to the millimetre. */
  readonly flat: RgbaImage;
  readonly perMm: number;
  /** Where its marks are, mm from the frame's top left corner, in their order. */
  readonly places: readonly Point[];
  /** Of these, how many were seen. */
  readonly seen: number;
}

/** A picture that could be read: how the sheet lies in it, or why that cannot be told. */
export interface SeenLoaded extends PictureWithCorners {
  readonly read: Result<LoadedSheet>;
}

/** How finely the frame is drawn anew, and how much smaller it is shown. */
const PER_MM = 8;
const SHOWN = 4;
/** Prints that are alike at least so much are of the same sheet: a correlation, 1 for the very same. */
const ALIKE = 0.35;
/** Below so much contrast a sheet shows too little to be told from others, levels of 255. */
const PLAIN = 6;
/** Around a mark nothing is compared: all sheets of a layout have it, mm. */
const AROUND_MARK = 12;
const STEP = 2; // mm between places that are compared

/**
 * Finds how a printed sheet lies from a picture of it: the frame's corners remove the perspective, the
 * marks are looked for in what is then seen from above, and what is printed is compared with the sheet
 * that is expected.
 */
export async function locateSheet(
  platform: Platform,
  of: SheetOfJob,
  { bytes, name, frame, corners }: LoadedPicture,
): Promise<Result<SeenLoaded>> {
  const pixels = await scanPixels(platform, bytes, name);
  if (!pixels.ok) return pixels;
  const image = pixels.value;
  const found = corners ? cornersInPixels(corners, image) : findSheetCorners(image);
  const one = await sheetPdf(platform, of);
  if (!one) return err('job/gone', { what: 'sheet' });
  const seen = greyToRgba(sheetFromAbove(image, found, frame, PER_MM));
  const expected = (): Promise<RgbaImage> =>
    renderPdf(platform, { pdf: one.pdf, page: 0, dpi: 25.4 / STEP });
  return ok({
    ...pictureWithCorners(image, found),
    read: await locateByMarks(seen, one.sheet, expected),
  });
}

/** @param expected draws the sheet as it should be: asked for only where the marks are found */
async function locateByMarks(
  seen: RgbaImage,
  sheet: CompiledSheet,
  expected: () => Promise<RgbaImage>,
): Promise<Result<LoadedSheet>> {
  const registration = findMarks({ image: seen, dpi: PER_MM * 25.4 }, sheet.marks);
  const { map, found, residual, confidence } = registration;
  const why = whyNotTrusted(registration);
  if (why || !map) return err('run/loaded', why ?? { code: 'no-marks', values: {} });
  const small = shrunkImage(seen, SHOWN);
  const alike = likeness(small, await expected(), map, sheet);
  if (alike !== undefined && alike < ALIKE) return err('run/other-sheet', {});
  return ok({
    flat: small,
    perMm: PER_MM / SHOWN,
    places: sheet.marks.map((mark) => apply(map, mark)),
    seen: found.filter(Boolean).length,
    residual,
    confidence,
  });
}

/**
 * How much what is seen is like what should be there: the correlation of their darkness at places all
 * over the sheet; undefined where the sheet shows too little to tell.
 */
function likeness(
  seen: RgbaImage,
  expected: RgbaImage,
  map: Affine,
  { marks }: CompiledSheet,
): number | undefined {
  const [there, wanted] = [darkness(seen), darkness(expected)];
  const pairs: [number, number][] = [];
  for (let row = 0; row < expected.height; row++)
    for (let column = 0; column < expected.width; column++) {
      const place = { x: (column + 0.5) * STEP, y: (row + 0.5) * STEP };
      if (marks.some(({ x, y }) => Math.hypot(x - place.x, y - place.y) < AROUND_MARK)) continue;
      const at = apply(map, place);
      const u = Math.round((at.x * PER_MM) / SHOWN - 0.5);
      const v = Math.round((at.y * PER_MM) / SHOWN - 0.5);
      if (u < 1 || v < 1 || u >= seen.width - 1 || v >= seen.height - 1) continue;
      pairs.push([
        wanted[row * expected.width + column] ?? 0,
        meanAround(there, v * seen.width + u, seen.width),
      ]);
    }
  return correlation(pairs);
}

/** The mean of a pixel and its neighbours: about as large as what it is compared with. */
function meanAround(levels: Uint8Array, at: number, width: number): number {
  let sum = 0;
  for (let down = -1; down <= 1; down++)
    for (let along = -1; along <= 1; along++) sum += levels[at + down * width + along] ?? 0;
  return sum / 9;
}

/** Pearson's correlation; undefined where the first of the two hardly varies. */
function correlation(pairs: readonly (readonly [number, number])[]): number | undefined {
  const count = pairs.length;
  if (count < 100) return undefined;
  const mean = (which: 0 | 1): number => pairs.reduce((sum, pair) => sum + pair[which], 0) / count;
  const [one, other] = [mean(0), mean(1)];
  let [both, first, second] = [0, 0, 0];
  for (const [a, b] of pairs) {
    both += (a - one) * (b - other);
    first += (a - one) ** 2;
    second += (b - other) ** 2;
  }
  if (Math.sqrt(first / count) < PLAIN) return undefined;
  return second === 0 ? 0 : both / Math.sqrt(first * second);
}
