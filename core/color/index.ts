export {
  contrastRatio,
  findRgb,
  luminance,
  luminanceOfBytes,
  rgbOf,
  toHex,
  type Rgb,
} from './color.ts';
export { mixed } from './mixed.ts';
export { oklabDistance, oklabOfBytes, oklabOfHex, oklabReader, type Oklab } from './oklab.ts';
