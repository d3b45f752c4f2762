export { countPdfPages, renderPdf, type PageImage, type RenderRequest } from './render.ts';
