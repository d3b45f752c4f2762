import { quoted } from '../phrases.ts';
import type { ProblemWords } from './problem-words.ts';

/** Problems with codes that cannot be written. */
export const CODES: ProblemWords<'code'> = {
  'code/characters': () => ({
    what: 'Code 128 takes up to 48 plain letters, digits and signs.',
    remedy: 'Shorten it or leave out accents, or use a QR code.',
  }),
  'code/check-digit': ({ digits, check }) => ({
    what: `The check digit of ${digits} should be ${check}.`,
    remedy: 'Check the number, or type it without its last digit.',
  }),
  'code/digits': ({ symbology, length: digits, digits: typed }) => ({
    what: `${symbology.toUpperCase()} takes ${digits} digits and a check digit, not ${quoted(typed)}.`,
    remedy: `Type ${digits} digits: the check digit is added.`,
  }),
  'code/empty': ({ symbology }) => ({
    what: 'The code says nothing yet.',
    remedy:
      symbology === 'qr' ? 'Type an address or a text for it.' : 'Type a number or a text for it.',
  }),
  'code/long': ({ bytes, most }) => ({
    what: `The code would say ${bytes} bytes, and a QR code holds ${most}.`,
    remedy: 'Shorten it: a letter of most scripts takes two or three bytes.',
  }),
  'code/unread': ({ text }) => ({
    what: `${quoted(text)} cannot be written as this code.`,
    remedy: 'Change what it says.',
  }),
};
