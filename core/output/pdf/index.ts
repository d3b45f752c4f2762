export { writePdf, type PdfPage, type PdfSources } from './write.ts';
