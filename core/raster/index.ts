export { decodePixels, encodePngImage, type PixelFormat } from './codec.ts';
export { components, type Component } from './components.ts';
export { dilateMask } from './dilate.ts';
export { blankImage, cropImage, darkness, type RgbaImage } from './image.ts';
export { boxBlur, greyToRgba, rectifyGrey, type GreyImage } from './grey.ts';
export { warpImage } from './warp.ts';
