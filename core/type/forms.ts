import { onceFor } from '../base/index.ts';
import type { Feature } from './features.ts';
import type { ShapedGlyph, Typeface } from './shaper.ts';

/** What a feature is and which of its forms. */
export type Form = Pick<Feature, 'tag' | 'value'>;

/** Letters shaped with some features. */
type Shape = (text: string, features?: readonly Feature[]) => readonly ShapedGlyph[];

/** Those that are on unless they are switched off; their other form is the plain one. */
const USUALLY_ON: readonly string[] = ['liga', 'clig', 'calt'];

/** What people choose among; what is left out is for shaping scripts, or is chosen in other ways. */
const CHOSEN =
  /^(?:liga|dlig|hlig|clig|calt|swsh|cswh|salt|titl|hist|smcp|c2sc|pcap|c2pc|unic|onum|lnum|pnum|tnum|frac|afrc|ordn|sups|subs|sinf|zero|ornm|nalt|ss\d\d|cv\d\d)$/;
const MOST_FORMS = 20; // of one feature

/** What people look for most comes first; switching off what is usually on comes last. */
const ORDER = ['smcp', 'c2sc', 'swsh', 'cswh', 'salt', 'titl', 'frac', 'onum', 'lnum', 'dlig'];
const rank = (tag: string): number => {
  const place = ORDER.indexOf(tag);
  if (USUALLY_ON.includes(tag)) return ORDER.length + 1;
  return place < 0 ? ORDER.length : place;
};
const inOrder = (tags: readonly string[]): string[] =>
  tags.filter((tag) => CHOSEN.test(tag)).sort((one, other) => rank(one) - rank(other));

/**
 * The forms that letters could have instead: those of the features of their typeface that change one of
 * them. Source: OpenType 1.9, registered features.
 */
export function formsOf(shape: Shape, tags: readonly string[], text: string): Form[] {
  const drawn = (tag: string, value: number): string =>
    ids(shape(text, [{ start: 0, end: Math.max(1, text.length), tag, value }]));
  const usual = ids(shape(text));
  return inOrder(tags).flatMap((tag) => {
    if (USUALLY_ON.includes(tag)) return drawn(tag, 0) === usual ? [] : [{ tag, value: 0 }];
    const forms: Form[] = [];
    let before = usual;
    for (let value = 1; value <= MOST_FORMS; value++) {
      const made = drawn(tag, value);
      if (made === usual || made === before) break;
      forms.push({ tag, value });
      before = made;
    }
    return forms;
  });
}

const MOST_OF_ALL =
  'ABCDEFGHIJKLMNOPQRSTUVWXYZ abcdefghijklmnopqrstuvwxyz 0123456789 1/2 1st ct st ch Th fi';

/** Whether a typeface has other forms for usual letters. */
export const hasForms = onceFor(
  (typeface: Typeface): boolean =>
    formsOf(typeface.shape, [...typeface.features().keys()], MOST_OF_ALL).length > 0,
);

const ids = (glyphs: readonly ShapedGlyph[]): string => glyphs.map(({ id }) => id).join();
