import { isRaster } from './pwg-raster.ts';

/** What a simulated printer prints, as it is named in the protocol. */
export const PRINT_FORMATS = ['application/pdf', 'image/jpeg', 'image/pwg-raster'] as const;
export type PrintFormat = (typeof PRINT_FORMATS)[number];

/** A document whose format its sender leaves to the printer. */
export const ANY_FORMAT = 'application/octet-stream';

/** What a document is, by how it begins; undefined where it is none that is printed. */
export function formatOf(bytes: Uint8Array): PrintFormat | undefined {
  if (new TextDecoder('latin1').decode(bytes.subarray(0, 5)) === '%PDF-') return 'application/pdf';
  if (bytes[0] === 0xff && bytes[1] === 0xd8) return 'image/jpeg';
  return isRaster(bytes) ? 'image/pwg-raster' : undefined;
}
