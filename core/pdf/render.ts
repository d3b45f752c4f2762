import type { Platform } from '../base/index.ts';
import type { RgbaImage } from '../raster/index.ts';
import { pdfLibrary } from './library.ts';

/** What of a PDF is drawn and how finely. */
export interface RenderRequest {
  readonly pdf: Uint8Array;
  /** From 0. */
  readonly page: number;
  readonly dpi: number;
  /** Leaves unprinted places clear instead of white. */
  readonly clear?: boolean;
}

/** A page as pixels. Whole pixels seldom fit a page: the page fills the picture exactly. */
export interface PageImage extends RgbaImage {
  /** mm */
  readonly pageWidth: number;
  readonly pageHeight: number;
}

/** Draws one page of a PDF. The one renderer to pixels; rejects when the PDF is broken. */
export async function renderPdf(platform: Platform, request: RenderRequest): Promise<PageImage> {
  const document = await (await pdfLibrary(platform)).loadDocument(request.pdf);
  try {
    const page = document.getPage(request.page);
    const { originalWidth, originalHeight } = page.getOriginalSize();
    const { width, height, data } = await page.render({
      width: Math.max(1, Math.round((originalWidth * request.dpi) / 72)),
      height: Math.max(1, Math.round((originalHeight * request.dpi) / 72)),
      scale: 1,
      render: 'bitmap',
      transparent: request.clear ?? false,
    });
    return {
      width,
      height,
      data: new Uint8ClampedArray(data.buffer, data.byteOffset, data.length),
      pageWidth: (originalWidth * 25.4) / 72,
      pageHeight: (originalHeight * 25.4) / 72,
    };
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
