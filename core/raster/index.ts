export {
  countFrames,
  decodePixels,
  encodeJpegImage,
  encodePhoto,
  encodePngImage,
} from './codec.ts';
export { components, type Component } from './components.ts';
export { contours, withoutSpecks, type Mask } from './contour.ts';
export { stepsFromBorder } from './border-steps.ts';
export { findProfile } from './embedded-profile.ts';
export { dilateMask } from './dilate.ts';
export {
  blankImage,
  cropImage,
  darkness,
  isOneColor,
  isOpaque,
  shrunkImage,
  type RgbaImage,
} from './image.ts';
export { boxBlur, gaussianBlur, greyToRgba, rectifyGrey, type GreyImage } from './grey.ts';
export {
  checkPixels,
  MOST_PIXELS,
  pictureSize,
  type DecodedFormat,
  type PictureSize,
  type PixelFormat,
} from './picture-size.ts';
export { jpegSegments } from './jpeg-segments.ts';
export { pngChunks } from './png-chunks.ts';
export { inkProfile, isInked } from './inks.ts';
export { warpImage } from './warp.ts';
export { groupRuns, runsOf, type RunGroup, type Runs } from './runs.ts';
export { isKnownTiff } from './tiff.ts';
export { patchesOf, type Patch } from './patches.ts';
