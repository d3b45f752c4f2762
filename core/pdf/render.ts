import type { Platform } from '../base/index.ts';
import type { RgbaImage } from '../raster/index.ts';
import { pdfLibrary } from './library.ts';

/** Which page is drawn and how finely. */
export interface PageRequest {
  /** From 0. */
  readonly page: number;
  readonly dpi: number;
  /** Leaves unprinted places clear instead of white. */
  readonly clear?: boolean;
}

/** What of a PDF is drawn and how finely. */
export interface RenderRequest extends PageRequest {
  readonly pdf: Uint8Array;
}

/** A page as pixels. Whole pixels seldom fit a page: the page fills the picture exactly. */
export interface PageImage extends RgbaImage {
  /** mm */
  readonly pageWidth: number;
  readonly pageHeight: number;
}

/** Draws one page of a PDF. The one renderer to pixels; rejects when the PDF is broken. */
export function renderPdf(platform: Platform, { pdf, ...page }: RenderRequest): Promise<PageImage> {
  return withPdf(platform, pdf, (draw) => draw(page));
}

/** Loads a PDF once, for as long as several of its pages are drawn. */
export async function withPdf<T>(
  platform: Platform,
  pdf: Uint8Array,
  use: (draw: (page: PageRequest) => Promise<PageImage>) => Promise<T>,
): Promise<T> {
  const document = await (await pdfLibrary(platform)).loadDocument(pdf);
  try {
    return await use(async ({ page: number, dpi, clear }) => {
      const page = document.getPage(number);
      const { originalWidth, originalHeight } = page.getOriginalSize();
      const { width, height, data } = await page.render({
        width: Math.max(1, Math.round((originalWidth * dpi) / 72)),
        height: Math.max(1, Math.round((originalHeight * dpi) / 72)),
        scale: 1,
        render: 'bitmap',
        transparent: clear ?? false,
      });
      return {
        width,
        height,
        data: new Uint8ClampedArray(data.buffer, data.byteOffset, data.length),
        pageWidth: (originalWidth * 25.4) / 72,
        pageHeight: (originalHeight * 25.4) / 72,
      };
    });
  } finally {
    document.destroy();
  }
}

/** How many pages a PDF has. */
export async function countPdfPages(platform: Platform, pdf: Uint8Array): Promise<number> {
  const document = await (await pdfLibrary(platform)).loadDocument(pdf);
  try {
    return document.getPageCount();
  } finally {
    document.destroy();
  }
}
