import { scanPixels } from '../art/index.ts';
import { err, ok, type Platform, type Result } from '../base/index.ts';
import { greyToRgba, shrunkImage, type RgbaImage } from '../raster/index.ts';
import {
  cornersInPixels,
  findCalibration,
  findSheetCorners,
  pictureWithCorners,
  type CalibratedSheet,
  type PictureWithCorners,
  type SeenCalibration,
  type SheetCorners,
} from '../register/index.ts';

/** A scan or phone picture of a calibration sheet. */
export interface CalibrationPicture {
  readonly bytes: Uint8Array;
  readonly name: string;
  readonly sheet: CalibratedSheet;
  /** Where its corners are as shares of the picture, when a hand has set them; else they are looked for. */
  readonly corners?: SheetCorners;
}

/** What the picture tells, with the sheet from above to look at. */
export interface ReadCalibration extends Omit<SeenCalibration, 'flat'> {
  readonly flat: RgbaImage;
}

/** A picture that could be read: what it tells, or why it tells nothing. */
export interface SeenPicture extends PictureWithCorners {
  readonly read: Result<ReadCalibration>;
}

const SHOWN = 3; // times smaller than it was looked at

/** Reads how a printer put a calibration sheet on paper from a picture of it. */
export async function readCalibration(
  platform: Platform,
  { bytes, name, sheet, corners }: CalibrationPicture,
): Promise<Result<SeenPicture>> {
  const pixels = await scanPixels(platform, bytes, name);
  if (!pixels.ok) return pixels;
  const image = pixels.value;
  const byHand = corners && cornersInPixels(corners, image);
  return ok({
    ...pictureWithCorners(image, byHand ?? findSheetCorners(image)),
    read: calibrationIn(image, { name, sheet, ...(byHand ? { byHand } : {}) }),
  });
}

function calibrationIn(
  image: RgbaImage,
  { name, sheet, byHand }: { name: string; sheet: CalibratedSheet; byHand?: SheetCorners },
): Result<ReadCalibration> {
  const seen = findCalibration(image, sheet, byHand);
  if (seen === 'no-edges') return err('calibration/no-edges', { name });
  if (seen === 'no-marks')
    return err('calibration/no-marks', { name, width: sheet.width, height: sheet.height });
  return ok({ ...seen, flat: shrunkImage(greyToRgba(seen.flat), SHOWN) });
}
