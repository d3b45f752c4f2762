import type { PDFiumLibrary } from '@hyzyla/pdfium';
import { onceFor, type Platform } from '../base/index.ts';

export type PdfLibrary = Awaited<ReturnType<typeof PDFiumLibrary.init>>;

/** pdfium, loaded once for a platform. */
export const pdfLibrary = onceFor((platform: Platform): Promise<PdfLibrary> =>
  Promise.all([platform.asset('pdfium.wasm'), import('@hyzyla/pdfium')]).then(
    ([bytes, { PDFiumLibrary: library }]) => library.init({ wasmBinary: bytes.slice().buffer }),
  ),
);
