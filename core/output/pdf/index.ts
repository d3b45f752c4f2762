export type { PdfPage, PdfSources } from './page.ts';
export { writePdf } from './write.ts';
