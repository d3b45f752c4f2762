import { good, type Platform, type Result } from '../../base/index.ts';
import { scanPixels } from '../../art/index.ts';
import { scaling, type Point } from '../../geometry/index.ts';
import { greyToRgba, warpImage, type RgbaImage } from '../../raster/index.ts';
import {
  findLabels,
  findSheetCorners,
  sheetFromAbove,
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
export interface PhotoTemplate {
  /** The picture, small, to set corners on. */
  readonly picture: RgbaImage;
  /** As shares of the picture's width and height. */
  readonly corners: SheetCorners;
  /** The sheet as if it was seen from straight above, to compare with. */
  readonly flat: RgbaImage;
  /** The labels, or why there are none. */
  readonly stock: Result<Stock>;
}

const SMALL = 900; // px

/** Finds the labels of a sheet in a scan or phone picture of it. */
export async function templateFromPhoto(
  platform: Platform,
  { bytes, name, sheet, corners }: SheetPhoto,
): Promise<Result<PhotoTemplate>> {
  const read = await scanPixels(platform, bytes, name);
  if (!read.ok) return read;
  const image = read.value;
  const share = ({ x, y }: Point): Point => ({ x: x / image.width, y: y / image.height });
  const pixel = ({ x, y }: Point): Point => ({ x: x * image.width, y: y * image.height });
  const found = (corners?.map(pixel) as SheetCorners | undefined) ?? upright(image, sheet);
  const title = name.replace(/\.[^.]+$/, '').slice(0, 120) || 'Sheet';
  const flat = sheetFromAbove(image, found, sheet);
  const stock = templateFromLabels(
    findLabels(flat),
    { ...sheet, id: 'own-photo', name: title },
    'picture',
  );
  const scale = Math.min(1, SMALL / Math.max(image.width, image.height));
  const size = {
    width: Math.round(image.width * scale),
    height: Math.round(image.height * scale),
  };
  return good({
    picture: scale === 1 ? image : warpImage(image, scaling(1 / scale), size),
    corners: found.map(share) as unknown as SheetCorners,
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
