export { cutDxf } from './dxf.ts';
export { formPlaceholders, type FormChoices } from './form-fields.ts';
export { cutSvg } from './cut-svg.ts';
export { USUAL_CHOICES, type ExportChoices } from './choices.ts';
export { exportFiles, exportThings, type MadeFile } from './export.ts';
export { FORMATS, type Format } from './formats/index.ts';
export { formPdf, pdfSources, printPdf } from './print-pdf.ts';
export {
  cutProgram,
  cutterAxes,
  HPGL_PENS,
  HPGL_UNITS,
  moveProgram,
  programText,
  writeProgram,
  type CutProgram,
  type SheetProgramChoices,
} from './cut-program/index.ts';
export { fileStem, sheetFiles, thingStem, type SheetFiles } from './names.ts';
export { parsePages } from './pages.ts';
export { writePdf, type PdfPage, type PdfSources } from './pdf/index.ts';
export { statement } from './statement.ts';
export { drawShapes, pieceAsArt } from './picture.ts';
export { withPreviewImages } from './preview-images.ts';
