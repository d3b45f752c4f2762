export { parseIccProfile } from './icc.ts';
export {
  P3_PRIMARIES,
  primariesMatrix,
  SRGB_PRIMARIES,
  srgbCurve,
  type ColorProfile,
  type Primaries,
  type TableProfile,
  type ToneCurve,
} from './profile.ts';
export { srgbConverter, srgbOfInks } from './to-srgb.ts';
