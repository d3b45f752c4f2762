import type { PixelArt } from '../art/index.ts';
import type { Platform } from '../base/index.ts';
import { walkDrawing } from '../drawing/index.ts';
import { decodePixels, shrunkImage, type RgbaImage } from '../raster/index.ts';
import type { PdfPage, PdfSources } from './pdf/index.ts';

/** A picture that is finer than asked by less is left as it is. */
const WORTH = 1.5;

/** The small copies made last, by the bytes that they were made from. */
const kept = new WeakMap<Uint8Array, { readonly width: number; readonly small: RgbaImage }>();

/**
 * The same sources for pages that are only looked at: pictures that are much finer than the looking
 * become small ones. A renderer unpacks a picture anew for each page, which takes seconds for a
 * photograph.
 */
export async function withPreviewImages(
  platform: Platform,
  pages: readonly PdfPage[],
  { sources, dpi }: { sources: PdfSources; dpi: number },
): Promise<PdfSources> {
  const small = new Map<string, RgbaImage>();
  for (const { id, art, bytes, width } of oversampledImages(pages, sources, { dpi, worth: WORTH }))
    try {
      small.set(id, await downsampled(platform, art, { bytes, width }));
    } catch {
      continue; // a damaged picture is not drawn, and the proof tells it
    }
  return { ...sources, pixels: (id) => small.get(id) ?? sources.pixels?.(id) };
}

async function downsampled(
  platform: Platform,
  art: PixelArt,
  { bytes, width }: { bytes: Uint8Array; width: number },
): Promise<RgbaImage> {
  const known = kept.get(bytes);
  if (known && known.width >= width && known.width < WORTH * width) return known.small;
  const image = await decodePixels(platform, art.format, bytes);
  const small = shrunkImage(image, image.width / width);
  kept.set(bytes, { width, small });
  return small;
}

/** A picture that is finer than it is needed, and how many pixels across would do. */
export interface OversampledImage {
  readonly id: string;
  readonly art: PixelArt;
  readonly bytes: Uint8Array;
  /** px */
  readonly width: number;
}

/** The pictures on pages that are finer than some dots per inch, by at least a factor. */
export function oversampledImages(
  pages: readonly PdfPage[],
  sources: PdfSources,
  { dpi, worth }: { readonly dpi: number; readonly worth: number },
): OversampledImage[] {
  return [...printedWidths(pages)].flatMap(([id, printed]): OversampledImage[] => {
    const [art, bytes] = [sources.art(id), sources.bytes(id)];
    const width = Math.ceil((printed / 25.4) * dpi);
    const isFiner = art?.kind === 'pixels' && bytes && art.pixelWidth >= worth * width;
    return isFiner ? [{ id, art, bytes, width }] : [];
  });
}

/** How wide each picture is at most where it is drawn, mm. */
function printedWidths(pages: readonly PdfPage[]): Map<string, number> {
  const widths = new Map<string, number>();
  for (const { drawing } of pages)
    walkDrawing(drawing, (node) => {
      if (node.kind !== 'image') return;
      const width = Math.hypot(node.map[0], node.map[1]);
      widths.set(node.art, Math.max(widths.get(node.art) ?? 0, width));
    });
  return widths;
}
