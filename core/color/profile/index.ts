export { parseIccProfile } from './icc.ts';
export {
  P3_PRIMARIES,
  primariesMatrix,
  SRGB_PRIMARIES,
  srgbCurve,
  type ColorProfile,
  type Primaries,
  type ToneCurve,
} from './profile.ts';
export { srgbConverter } from './to-srgb.ts';
