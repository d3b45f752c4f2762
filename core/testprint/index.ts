export { calibrationPdf, type CalibrationSheet } from './calibration-sheet.ts';
export {
  readCalibration,
  type CalibrationPicture,
  type ReadCalibration,
  type SeenPicture,
} from './read-calibration.ts';
export { fitTestPdf, stepSize, type FitTest } from './fit-test.ts';
export { testPagePdf, type TestPage } from './test-page.ts';
export { templatePdf, type TemplateDrawing } from './template-print.ts';
export {
  materialTestProgram,
  materialTestPdf,
  TEST_SHEET,
  TEST_SIZE,
  testCells,
  type MaterialTest,
  type TestCell,
} from './material-test.ts';
