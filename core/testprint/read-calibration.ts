import { scanPixels } from '../art/index.ts';
import { bad, good, type Platform, type Result } from '../base/index.ts';
import { greyToRgba, shrunkImage, type RgbaImage } from '../raster/index.ts';
import { findCalibration, type CalibratedSheet, type SeenCalibration } from '../register/index.ts';

/** A scan or phone picture of a calibration sheet. */
export interface CalibrationPicture {
  readonly bytes: Uint8Array;
  readonly name: string;
  readonly sheet: CalibratedSheet;
}

/** What the picture tells, with the sheet from above to look at. */
export interface ReadCalibration extends Omit<SeenCalibration, 'flat'> {
  readonly flat: RgbaImage;
}

const SHOWN = 3; // times smaller than it was looked at

/** Reads how a printer put a calibration sheet on paper from a picture of it. */
export async function readCalibration(
  platform: Platform,
  { bytes, name, sheet }: CalibrationPicture,
): Promise<Result<ReadCalibration>> {
  const read = await scanPixels(platform, bytes, name);
  if (!read.ok) return read;
  const seen = findCalibration(read.value, sheet);
  if (seen === 'no-edges')
    return bad(
      'calibration/no-edges',
      `The edges of the paper are not seen in “${name}”.`,
      'Lay the sheet on something dark, also in a scanner, and take the picture so that all four corners show.',
    );
  if (seen === 'no-marks')
    return bad(
      'calibration/no-marks',
      `“${name}” shows no calibration sheet of ${sheet.width} mm × ${sheet.height} mm.`,
      'Choose the paper that it was printed on, and take a sharp picture from straight above in even light.',
    );
  return good({ ...seen, flat: shrunkImage(greyToRgba(seen.flat), SHOWN) });
}
