import type { FileWords } from '../../core/base/index.ts';
import type { Words } from '../words.ts';
import { plural } from './counts.ts';

/** Words that are printed or written into files. */
export const FILE_WORDS: Words<FileWords> = {
  'approval-as-shown': () => 'Approved as shown',
  'approval-behind': ({ piece }) => `behind ${piece}`,
  'approval-copies': ({ count }) => plural(count, 'copy', 'copies'),
  'approval-date': () => 'Date',
  'approval-foot': ({ job }) => `${job}, for approval`,
  'approval-intro': ({ today }) =>
    `${today}. Please read every word, look at sizes and colours, and sign at the end.`,
  'approval-list': ({ rows }) => `What the list says, ${rows} rows`,
  'approval-name': () => 'Name',
  'approval-scale': ({ scale }) =>
    scale === 1 ? 'At its true size' : `At ${Math.round(scale * 100)} % of its size`,
  'approval-signature': () => 'Signature',
  'approval-title': ({ job }) => `For approval: ${job}`,
  'approval-with-changes': () => 'Approved with these changes:',
  'calibration-check': () => 'A check of the calibration: printed with its correction.',
  'calibration-plain': () => 'Calibration sheet: printed as the printer does it.',
  'calibration-title': ({ printer }) => `Calibration sheet: ${printer}`,
  'calibration-what-to-do': () =>
    'Lay it on something dark and take a picture from above that shows all\n' +
    'four corners of the paper, or measure the crosses A to D with a ruler.',
  'contact-foot': ({ job, labels }) => `${job}, ${labels} labels`,
  'field-of-all-labels': ({ field }) => `${field}, on all labels`,
  'field-of-label': ({ field, number }) => `${field}, label ${number}`,
  'fit-test-step': ({ by = 'as measured' }) => by,
  'fit-test-title': ({ thing }) => `Fit test: ${thing}`,
  'material-test-question': ({ material }) => `${material}: which one peels cleanly?`,
  'material-test-title': ({ material }) => `Material test: ${material}`,
  'page-foot': ({ says, page, of }) => `${says}, ${page} of ${of}`,
  'ruler-check': () =>
    'Hold a ruler here: it has to be 100 mm long. If it is not, print again at 100 %.',
  'template-test': () =>
    'Lay this on the sheet and hold both against the light: the outlines have to meet.',
  'test-page-inks': () => 'Cyan, magenta, yellow and black: even, without stripes.',
  'test-page-title': ({ printer }) => `Test page: ${printer}`,
  'test-page-top': () => 'The arrow points to the top of the page.',
};
