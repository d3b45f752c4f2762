import { fitPerspective, type Point } from '../geometry/index.ts';
import { rectifyGrey, type GreyImage, type RgbaImage } from '../raster/index.ts';
import type { SheetCorners } from './sheet-corners.ts';

/** How finely a sheet is drawn anew, px. */
export const PER_MM = 5;

/** A sheet as it is seen from straight above, in grey, from a picture in which its corners are known. */
export function sheetFromAbove(
  image: RgbaImage,
  corners: SheetCorners,
  sheet: { readonly width: number; readonly height: number },
  perMm = PER_MM,
): GreyImage {
  const [right, bottom] = [sheet.width * perMm, sheet.height * perMm];
  const places: Point[] = [
    { x: 0, y: 0 },
    { x: right, y: 0 },
    { x: right, y: bottom },
    { x: 0, y: bottom },
  ];
  const back = fitPerspective(places.map((from, at) => ({ from, to: corners[at] ?? from })));
  return rectifyGrey(image, back, { width: Math.round(right), height: Math.round(bottom) });
}
