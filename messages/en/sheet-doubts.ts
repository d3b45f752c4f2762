import type { Words } from '../words.ts';
import type { SheetDoubts } from '../../core/base/index.ts';

/** Why a sheet is not cut as it was seen. */
export const SHEET_DOUBTS: Words<SheetDoubts> = {
  'no-marks': () => 'No marks were found in the picture.',
  'marks-missing': ({ found, of }) =>
    found === 0
      ? `None of the ${of} marks was found, so nothing was cut.`
      : `Only ${found} of ${of} marks were found, so nothing was cut.`,
  'not-these-marks': () =>
    'The marks do not stand as they do on this sheet: it may be another one, or something was taken for a mark. Nothing was cut.',
  'turned-round': () =>
    'The sheet lies the other way round: the ring dot is not where it should be.',
  'way-unknown': () =>
    'Neither the ring dot nor the mark opposite it was seen, so it is not known which way round the sheet lies. Nothing was cut.',
};
