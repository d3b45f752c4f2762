import type { Words } from '../words.ts';
import type { FixValues } from '../../core/proof/index.ts';
import { length } from './phrases.ts';
import { form } from './counts.ts';
import { ZONES } from './zones.ts';

/** Safe changes that remove findings, as they stand on their buttons. */
export const FIXES: Words<FixValues> = {
  'black-on-white': () => 'Print it black on white',
  'bleed-of': ({ bleed }) => `Bleed of ${bleed} mm`,
  'calm-ground': () => 'Calm what lies beneath',
  'check-digit': () => 'Set the right check digit',
  'free-places': ({ count }) => form(count, 'Move it to a free place', 'Move them to free places'),
  'gap-of': ({ gap }) => `Gap of ${gap} mm`,
  'inner-radius': ({ radius }) => `Inner radius of ${radius} mm`,
  'join-parts': () => 'Join them by the smallest offset',
  'leave-rows-out': ({ count }) =>
    form(count, 'Leave this row out', `Leave these ${count} rows out`),
  'line-width': ({ width }) => `Make it ${width} mm`,
  'marks-of': ({ size }) => `Marks of ${length(size)}`,
  'move-inwards': () => 'Move it inwards',
  'move-to-zone': ({ zone }) => `Move it to the ${ZONES[zone]}`,
  'one-of-each': () => 'Print one of each',
  'outline-letters': () => 'Give it an outline',
  'print-dark': () => 'Print it dark',
  'print-light': () => 'Print it light',
  'put-back': ({ count }) => form(count, 'Put it back', 'Put them back'),
  'put-plate-behind': () => 'Put a plate behind',
  'return-to-piece': () => 'Go back to the piece',
  'set-size': ({ size }) => `Set to ${size} pt`,
  'set-typeface': ({ family }) => `Set in ${family}`,
  'shrink-words': () => 'Let it shrink',
  'size-of-stock': () => 'Take the sheet’s size',
  'turn-code': () => 'Turn it up the wall',
  'width-of': ({ width }) => `Make it ${width} mm wide`,
  'smooth-edge': ({ by }) => `Smooth the edge by ${by} mm`,
  write: ({ text }) => `Write ${text}`,
};
