export { cutDxf } from './dxf.ts';
export { formPlaceholders, type FormChoices } from './form-fields.ts';
export { cutSvg } from './cut-svg.ts';
export {
  exportFiles,
  FORMATS,
  formPdf,
  USUAL_CHOICES,
  type ExportChoices,
  pdfSources,
  printPdf,
  type Format,
  type MadeFile,
} from './export.ts';
export { cutHpgl, HPGL_PENS, HPGL_UNITS, toldSetting } from './hpgl.ts';
export { fileStem, sheetFiles, type SheetFiles } from './names.ts';
export { parsePages } from './pages.ts';
export { writePdf, type PdfPage, type PdfSources } from './pdf/index.ts';
export { statement } from './statement.ts';
export { drawShapes, pieceAsArt } from './picture.ts';
export { withPreviewImages } from './preview-images.ts';
