import { PDFiumLibrary } from '@hyzyla/pdfium';
import { onceFor, type Platform } from '../base/index.ts';

export type PdfLibrary = Awaited<ReturnType<typeof PDFiumLibrary.init>>;

/** pdfium, loaded once for a platform. */
export const pdfLibrary = onceFor((platform: Platform): Promise<PdfLibrary> =>
  platform
    .asset('pdfium.wasm')
    .then((bytes) => PDFiumLibrary.init({ wasmBinary: bytes.slice().buffer })),
);
