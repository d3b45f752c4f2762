import { ok, type Platform, type Result } from '../../base/index.ts';
import { scanPixels } from '../../art/index.ts';
import { greyToRgba, type RgbaImage } from '../../raster/index.ts';
import {
  cornersInPixels,
  findLabels,
  findSheetCorners,
  pictureWithCorners,
  sheetFromAbove,
  type PictureWithCorners,
  type SheetCorners,
} from '../../register/index.ts';
import type { Stock } from '../stock.ts';
import { templateFromLabels } from './template-from-labels.ts';

/** A picture of a sheet in which its labels are looked for. */
export interface SheetPhoto {
  readonly bytes: Uint8Array;
  readonly name: string;
  /** The sheet that it shows, mm. */
  readonly sheet: { readonly width: number; readonly height: number };
  /** Where its corners are as shares of the picture, when a hand has set them; else they are looked for. */
  readonly corners?: SheetCorners;
}

/** What was found in a picture of a sheet. */
export interface PhotoTemplate extends PictureWithCorners {
  /** The sheet as if it was seen from straight above, to compare with. */
  readonly flat: RgbaImage;
  /** The labels, or why there are none. */
  readonly stock: Result<Stock>;
}

/** Finds the labels of a sheet in a scan or phone picture of it. */
export async function templateFromPhoto(
  platform: Platform,
  { bytes, name, sheet, corners }: SheetPhoto,
): Promise<Result<PhotoTemplate>> {
  const read = await scanPixels(platform, bytes, name);
  if (!read.ok) return read;
  const image = read.value;
  const found = corners ? cornersInPixels(corners, image) : upright(image, sheet);
  const title = name.replace(/\.[^.]+$/, '').slice(0, 120) || 'Sheet';
  const flat = sheetFromAbove(image, found, sheet);
  const stock = templateFromLabels(
    findLabels(flat),
    { ...sheet, id: 'own-photo', name: title },
    'picture',
  );
  return ok({
    ...pictureWithCorners(image, found),
    flat: greyToRgba(flat),
    stock,
  });
}

/** The sheet's corners; of a sheet that lies on its side in the picture, turned to stand. */
function upright(image: RgbaImage, sheet: { width: number; height: number }): SheetCorners {
  const corners = findSheetCorners(image);
  const [a, b, c, d] = corners;
  const across = Math.hypot(b.x - a.x, b.y - a.y);
  const down = Math.hypot(d.x - a.x, d.y - a.y);
  return across > down === sheet.width > sheet.height ? corners : [d, a, b, c];
}
