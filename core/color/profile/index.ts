export { type ToneCurve } from './curve.ts';
export { parseIccProfile } from './icc.ts';
export {
  P3_PRIMARIES,
  primariesMatrix,
  SRGB_PRIMARIES,
  srgbCurve,
  type ColorProfile,
  type Primaries,
  type TableProfile,
} from './profile.ts';
export { srgbConverter, srgbOfInks } from './to-srgb.ts';
