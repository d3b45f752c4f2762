export {
  calibrationByRuler,
  calibrationCrosses,
  calibrationDots,
  farthest,
  findCalibration,
  mapFacts,
  ruledCrosses,
  type CalibratedSheet,
  type Calibration,
  type MapFacts,
  type RulerReading,
  type SeenCalibration,
  type Unseen,
} from './calibration.ts';
export { sheetFromAbove } from './from-above.ts';
export { markBox, markPath, type MarkPlace, type MarkStyle } from './ink.ts';
export {
  findMarks,
  lookForMarks,
  TRUSTED,
  whyNotTrusted,
  type MarkSensor,
  type Registration,
  type SheetPicture,
} from './marks.ts';
export { tryMarks, type MarkTrials } from './mark-trials.ts';
export { findLabels, type SeenLabel } from './labels.ts';
export { findSheetCorners, type SheetCorners } from './sheet-corners.ts';
export { cornersInPixels, pictureWithCorners, type PictureWithCorners } from './picture-corners.ts';
