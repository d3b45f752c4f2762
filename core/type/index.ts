export { instanceId, readInstanceId, type Axis, type AxisValues } from './axes.ts';
export { LETTER_CASES, type LetterCase } from './cased.ts';
export {
  CHARACTERS,
  faceForScript,
  FAMILIES,
  hasManyCuts,
  loadShipped,
  nearestFace,
  TYPEFACES,
  type Character,
  type Face,
  type Family,
  type FamilyCut,
} from './families.ts';
export { formIn, movedFeatures, withForm, type Feature, type TextRange } from './features.ts';
export { formsOf, hasForms, type Form } from './forms.ts';
export { isBold, REGULAR, type Cut } from './cuts.ts';
export { textChanges } from './edited-words.ts';
export { movedNudges, withNudge } from './nudges.ts';
export {
  axesOf,
  facesInFile,
  findFace,
  isCollection,
  ownFamilies,
  ownTypefaceSchema,
  readTypeface,
  typefaceFromVersion12,
  type FaceInFile,
  type OwnTypeface,
} from './own-typeface.ts';
export { EMPHASIS_LIMITS, emphasisSchema, typedEmphasis } from './emphasis.ts';
export { loadTypeface, typefaceAt, type ShapedGlyph, type Typeface } from './shaper.ts';
export { loadSubsetter, type Subsetter } from './subset.ts';
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
