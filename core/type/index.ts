export { loadTypeface, type ShapedGlyph, type Typeface } from './shaper.ts';
export { loadShipped, TYPEFACES, type ShippedTypeface } from './shipped.ts';
export { loadSubsetter, type Subsetter } from './subset.ts';
export {
  setWords,
  wordsPathSchema,
  wordsStyleSchema,
  type Room,
  type SetWords,
  type WordsPath,
  type WordsStyle,
} from './words.ts';
