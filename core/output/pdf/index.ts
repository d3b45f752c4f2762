export type { PdfPage, PdfSources } from './page.ts';
export type { FormField } from './form.ts';
export { cutInks } from './cut-layer.ts';
export { writePdf } from './write.ts';
