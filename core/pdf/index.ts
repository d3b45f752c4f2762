export { countPdfPages, renderPdf, type PageImage, type RenderRequest } from './render.ts';
export { readPdfPaths, type PdfPaths } from './paths.ts';
