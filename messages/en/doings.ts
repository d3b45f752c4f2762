import { wordsFor, type Words } from '../words.ts';
import type { Doings } from '../../core/base/index.ts';
import { REASONS } from './printer-reasons.ts';

/** What a heavy call is at. */
export const DOINGS: Words<Doings> = {
  'asking-printer': () => 'Asking the printer',
  connecting: () => 'Connecting to the cutter',
  'cutter-rests': () => 'Paused, the tool is lifted',
  cutting: () => 'Cutting',
  'cutting-sheet': ({ sheet, of }) => `Cutting sheet ${sheet} of ${of}`,
  done: () => 'Done',
  'finding-devices': () => 'Looking for devices',
  'finding-marks': ({ sheet, of }) => `Looking for the marks of sheet ${sheet} of ${of}`,
  nesting: () => 'Nesting',
  printing: () => 'Printing',
  'printing-sheet': ({ sheet, of }) => `Printing sheet ${sheet} of ${of}`,
  proofing: () => 'Looking at the proof',
  'reading-page': ({ page, of }) => `Page ${page} of ${of}`,
  'reading-file': ({ file, of }) => `File ${file} of ${of}`,
  rehearsing: ({ time, of }) => `Rehearsal ${time} of ${of}`,
  rendering: () => 'Rendering the sheet',
  'sending-cut': ({ cut, of }) => `Cut ${cut} of ${of}`,
  'sending-sheets': () => 'Sending the sheets',
  'waiting-for-printer': ({ reason }) => `The printer waits: ${wordsFor(REASONS, reason)}`,
  'writing-print': () => 'Writing the print file',
  'writing-sheet': ({ sheet }) => `Writing sheet ${sheet}`,
};
