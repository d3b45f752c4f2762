export { countPdfPages, renderPdf, type RenderRequest } from './render.ts';
