import { ok, type Platform, type Result } from '../base/index.ts';
import { renderPdf } from '../pdf/index.ts';
import type { RgbaImage } from '../raster/index.ts';
import { sniffFormat } from './header.ts';
import { readPixels } from './pixels.ts';

const SCAN_DPI = 200; // of a scan that comes as PDF

/** The pixels of a scan or photograph: a picture, or the first page of a PDF. */
export async function scanPixels(
  platform: Platform,
  bytes: Uint8Array,
  name: string,
): Promise<Result<RgbaImage>> {
  return sniffFormat(bytes) === 'pdf'
    ? ok(await renderPdf(platform, { pdf: bytes, page: 0, dpi: SCAN_DPI }))
    : readPixels(platform, bytes, name);
}
