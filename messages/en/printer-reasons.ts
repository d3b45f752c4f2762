import type { Words } from '../words.ts';
import type { PrinterReasons } from '../../core/base/index.ts';

/** What keeps a printer, in plain words. */
export const REASONS: Words<PrinterReasons> = {
  'cover-open': () => 'A cover is open.',
  'file-unread': () => 'It cannot read the file.',
  'ink-empty': () => 'Ink or toner is used up.',
  'ink-low': () => 'Ink or toner runs low.',
  'job-aborted': () => 'The printer gave the job up.',
  'job-cancelled': () => 'The job was cancelled.',
  'media-empty': () => 'The tray is empty.',
  'media-jam': () => 'Paper is jammed.',
  'media-low': () => 'Paper runs low.',
  'media-needed': () => 'It wants the paper of this job loaded.',
  'memory-full': () => 'Its memory is full.',
  'not-reached': () => 'It is not reached.',
  'output-full': () => 'The output tray is full.',
  'output-missing': () => 'The output tray is missing.',
  other: ({ says }) => `It says “${says}”.`,
  paused: () => 'It is paused.',
};
