import type { NoValues } from './coded.ts';

/**
 * Words that are printed or written into files, by code, with what they name; dates as YYYY-MM-DD,
 * numbers of pages and labels from 1.
 */
export interface FileWords {
  'approval-as-shown': NoValues;
  'approval-behind': { piece: string };
  'approval-copies': { count: number };
  'approval-date': NoValues;
  'approval-foot': { job: string };
  'approval-intro': { today: string };
  'approval-list': { rows: number };
  'approval-name': NoValues;
  /** 1 at true size. */
  'approval-scale': { scale: number };
  'approval-signature': NoValues;
  'approval-title': { job: string };
  'approval-with-changes': NoValues;
  'calibration-check': NoValues;
  'calibration-plain': NoValues;
  'calibration-title': { printer: string };
  'calibration-what-to-do': NoValues;
  'contact-foot': { job: string; labels: number };
  'field-of-all-labels': { field: string };
  'field-of-label': { field: string; number: number };
  /** How much larger than measured, as a length with its sign; none where it is as measured. */
  'fit-test-step': { by?: string };
  'fit-test-title': { thing: string };
  'material-test-question': { material: string };
  'material-test-title': { material: string };
  'page-foot': { says: string; page: number; of: number };
  'ruler-check': NoValues;
  'template-test': NoValues;
  'test-page-inks': NoValues;
  'test-page-title': { printer: string };
  'test-page-top': NoValues;
}

/** Gives the words for a code, in the language of who asks. */
export type Say = <C extends keyof FileWords>(code: C, values: FileWords[C]) => string;
