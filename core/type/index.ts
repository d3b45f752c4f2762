export { LETTER_CASES, type LetterCase } from './cased.ts';
export {
  CHARACTERS,
  faceOf,
  facesOf,
  FAMILIES,
  loadShipped,
  TYPEFACES,
  type Character,
  type Face,
  type Family,
} from './families.ts';
export { movedNudges, withNudge } from './nudges.ts';
export {
  findFace,
  ownFamilies,
  ownTypefaceSchema,
  readTypeface,
  type OwnTypeface,
} from './own-typeface.ts';
export { loadTypeface, type ShapedGlyph, type Typeface } from './shaper.ts';
export { loadSubsetter, type Subsetter } from './subset.ts';
export type { FaceStyle } from './font-metadata.ts';
export {
  LIST_MARKS,
  nudgeSchema,
  wordsPathSchema,
  wordsStyleSchema,
  type ListMark,
  type Nudge,
  type WordsPath,
  type WordsStyle,
} from './words-style.ts';
export { setWords, type Caret, type Room, type SetWords } from './words.ts';
