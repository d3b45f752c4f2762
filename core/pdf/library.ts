import { PDFiumLibrary } from '@hyzyla/pdfium';
import type { Platform } from '../base/index.ts';

export type PdfLibrary = Awaited<ReturnType<typeof PDFiumLibrary.init>>;
const libraries = new WeakMap<Platform, Promise<PdfLibrary>>();

/** pdfium, loaded once for a platform. */
export function pdfLibrary(platform: Platform): Promise<PdfLibrary> {
  const known = libraries.get(platform);
  if (known) return known;
  const made = platform
    .asset('pdfium.wasm')
    .then((bytes) => PDFiumLibrary.init({ wasmBinary: bytes.slice().buffer }));
  libraries.set(platform, made);
  return made;
}
