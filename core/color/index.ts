export {
  contrastRatio,
  findRgb,
  LINEAR,
  luminance,
  luminanceOfBytes,
  rgbOf,
  toHex,
  type Rgb,
} from './color.ts';
export { dominantColors } from './dominant.ts';
export {
  colorOfHue,
  HARMONIES,
  hueOf,
  matchedColors,
  paletteFromHue,
  type Harmony,
} from './harmony.ts';
export { mixed } from './mixed.ts';
export { findNamedColor } from './named.ts';
export { seenAs, seenMatrix, WAYS_SEEN, type LightMatrix, type WaySeen } from './seen-as.ts';
export { oklabDistance, oklabOfBytes, oklabOfHex, oklabReader, type Oklab } from './oklab.ts';
export { MOST_PALETTE_COLORS, parsePalette, type FilePalette } from './palette-file.ts';
export * from './profile/index.ts';
