import { scaling } from '../geometry/index.ts';
import { warpImage, type RgbaImage } from '../raster/index.ts';
import type { SheetCorners } from './sheet-corners.ts';

/** A picture of a sheet, small, on which its corners can be set by hand. */
export interface PictureWithCorners {
  readonly picture: RgbaImage;
  /** As shares of the picture's width and height. */
  readonly corners: SheetCorners;
}

const SMALL = 900; // px

/** A picture to set corners on, with the corners as they are known, px. */
export function pictureWithCorners(image: RgbaImage, corners: SheetCorners): PictureWithCorners {
  const scale = Math.min(1, SMALL / Math.max(image.width, image.height));
  const size = {
    width: Math.round(image.width * scale),
    height: Math.round(image.height * scale),
  };
  return {
    picture: scale === 1 ? image : warpImage(image, scaling(1 / scale), size),
    corners: stretched(corners, 1 / image.width, 1 / image.height),
  };
}

/** Corners that are shares of a picture, in its pixels. */
export const cornersInPixels = (shares: SheetCorners, image: RgbaImage): SheetCorners =>
  stretched(shares, image.width, image.height);

const stretched = (corners: SheetCorners, by: number, down: number): SheetCorners =>
  corners.map(({ x, y }) => ({ x: x * by, y: y * down })) as unknown as SheetCorners;
