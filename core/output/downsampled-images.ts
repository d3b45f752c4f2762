import type { PixelArt } from '../art/index.ts';
import type { Platform } from '../base/index.ts';
import {
  decodePixels,
  encodeJpegImage,
  encodePngImage,
  isOpaque,
  shrunkImage,
} from '../raster/index.ts';
import type { PdfPage, PdfSources } from './pdf/index.ts';
import { oversampledImages } from './preview-images.ts';

/** What a picture has left in a small file: enough to look at, too little for the best print. */
const DPI = 150;
const QUALITY = 80;
/** Pictures that are finer than that by less stay as they are. */
const WORTH = 1.2;

/** The same sources with pictures no finer than a small file needs, without alpha as JPEG. */
export async function withDownsampledImages(
  platform: Platform,
  pages: readonly PdfPage[],
  sources: PdfSources,
): Promise<PdfSources> {
  const small = new Map<string, { art: PixelArt; bytes: Uint8Array }>();
  const wanted = { dpi: DPI, worth: WORTH };
  for (const { id, art, bytes, width } of oversampledImages(pages, sources, wanted)) {
    const image = await decodePixels(platform, art.format, bytes).catch(() => undefined);
    if (!image) continue; // a damaged picture is not drawn, and the proof tells it
    const made = shrunkImage(image, image.width / width);
    const format = isOpaque(made) ? 'jpeg' : 'png';
    const kept =
      format === 'jpeg'
        ? await encodeJpegImage(platform, made, { quality: QUALITY, dpi: DPI })
        : encodePngImage(made, DPI);
    if (kept.length >= bytes.length) continue;
    const { width: pixelWidth, height: pixelHeight } = made;
    small.set(id, { art: { ...art, format, pixelWidth, pixelHeight }, bytes: kept });
  }
  return {
    ...sources,
    art: (id) => small.get(id)?.art ?? sources.art(id),
    bytes: (id) => small.get(id)?.bytes ?? sources.bytes(id),
  };
}
