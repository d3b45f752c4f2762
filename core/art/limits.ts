import { MOST_PIXELS } from '../raster/index.ts';

/** What a picture file may be at most; one place for all limits. */
export const ART_LIMITS = {
  /** Bytes of one file. */
  bytes: 40 * 1024 * 1024,
  /** Pixels of one picture, width times height. */
  pixels: MOST_PIXELS,
  /** The longer side of a picture that shows something, pixels. */
  leastPixels: 8,
  /** Shapes in one vector picture. */
  shapes: 20_000,
  /** Files in one ZIP. */
  zipEntries: 500,
  /** Bytes that all files of one ZIP have together when unpacked. */
  zipBytes: 400 * 1024 * 1024,
  /** How many times larger than packed a file of a ZIP may be. */
  zipRatio: 300,
  /** Seconds that the reading of one picture may take. */
  seconds: 60,
  /** Pages of one PDF. */
  pdfPages: 100,
} as const;
