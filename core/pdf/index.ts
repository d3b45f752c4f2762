export { countPdfPages, renderPdf, withPdf, type PageImage, type RenderRequest } from './render.ts';
export { readPdfShapes, type PdfShapes } from './shapes.ts';
