export {
  contrastRatio,
  findRgb,
  luminance,
  luminanceOfBytes,
  rgbOf,
  toHex,
  type Rgb,
} from './color.ts';
export { oklabDistance, oklabOfBytes, oklabReader, type Oklab } from './oklab.ts';
