export {
  contrastRatio,
  findRgb,
  luminance,
  luminanceOfBytes,
  rgbOf,
  toHex,
  type Rgb,
} from './color.ts';
