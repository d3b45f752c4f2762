import type { ArtNotes } from '../../core/art/index.ts';
import type { Words } from '../words.ts';
import { some } from './counts.ts';
import { quoted } from './phrases.ts';

/** What of a file is drawn by other means than its own. */
export const ART_NOTES: Words<ArtNotes> = {
  'filters-as-pixels': () => 'its blurs and shadows became pixels at 600 dpi',
  'first-frame': ({ frames }) => `it moves: the first of its ${frames} pictures is taken`,
  'inks-by-formula': () =>
    'it is made for four inks without saying which, so its colours are near, not exact',
  layers: ({ names }) =>
    `its outlines come from the layers ${some(names.slice(0, 5).map(quoted), names.length)}`,
  'one-color': () => 'it is one colour all over and shows nothing',
  'patterns-as-pixels': () => 'its finest patterns became pixels at 600 dpi',
  'profile-unread': () => 'its colour profile could not be read, so its colours are taken for sRGB',
  'typeface-instead': ({ name, instead }) => `${instead} stands in for the typeface ${name}`,
};
