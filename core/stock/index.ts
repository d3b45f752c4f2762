export { loadingOf, type Feed, type Loading } from './loading.ts';
export {
  DIE_CUTS,
  DISC_CARRIERS,
  discCarrier,
  firstStock,
  PLAIN_SHEETS,
  SHIPPED_STOCK,
} from './catalogue.ts';
export {
  differenceWords,
  formOf,
  readStockQuery,
  searchStock,
  type FoundStock,
  type StockQuery,
} from './search.ts';
export {
  keepClear,
  marksSchema,
  sheetMarks,
  usableShare,
  USUAL_MARKS,
  type Mark,
  type Marks,
} from './marks.ts';
export {
  labelCost,
  MATERIAL_KINDS,
  materialFromVersion9,
  materialSchema,
  packSchema,
  TACKS,
  type CutSetting,
  type Material,
  type MaterialKind,
  type Pack,
  type Tack,
} from './material.ts';
export { MATT_PAPER, SHIPPED_MATERIALS } from './materials.ts';
export {
  supplySchema,
  supplySheets,
  withRun,
  withSheetsGone,
  withUsed,
  type Supply,
} from './supply.ts';
export {
  checkSpots,
  printable,
  spotCount,
  spotPaths,
  spotPlaces,
  spotsSchema,
  stockSchema,
  type GridStock,
  type SpotPlace,
  type Spots,
  type Stock,
} from './stock.ts';
export {
  NO_CORRECTION,
  printerSchema,
  SIDES,
  type Correction,
  type KeptCalibration,
  type PaperSide,
  type PrinterOffers,
  type PrinterProfile,
  type Tray,
} from './printer.ts';
export { stockFromVersion2 } from './stock-version-2.ts';
export {
  tryDirection,
  tryTemplate,
  type Direction,
  type MeasuredTemplate,
  type Readings,
} from './template.ts';
export { templateFromLabels } from './found/template-from-labels.ts';
export {
  readTemplateFile,
  templateFileSchema,
  templateJson,
  templateSvg,
} from './found/template-file.ts';
export { templateFromPhoto, type PhotoTemplate, type SheetPhoto } from './found/template-photo.ts';
export { cutterSchema, USUAL_CUTTER, type Cutter } from './cutter.ts';
export {
  COLOR_MODES,
  marginsFor,
  QUALITIES,
  usualChoices,
  type PrintChoices,
} from './print-choices.ts';
export {
  CUT_ORIGINS,
  cutCommandsSchema,
  gcodeProfileSchema,
  hpglProfileSchema,
  LINE_ENDS,
  parseCutProfile,
  serialLineSchema,
  USUAL_PROFILE,
  writeCutProfile,
  type CutProfile,
  type GcodeProfile,
  type HpglProfile,
  type SerialLine,
} from './cut-profile.ts';
