import fc from 'fast-check';
import { nodePlatform } from '../testing/node-platform.ts';
import { featuresOfMade, featuresWithin } from './features.ts';
import {
  formIn,
  formsOf,
  loadShipped,
  movedFeatures,
  setWords,
  textChanges,
  withForm,
  type Feature,
  type Typeface,
  type WordsStyle,
} from './index.ts';

let serif: Typeface;
let sans: Typeface;
let script: Typeface;
beforeAll(async () => {
  serif = await loadShipped(nodePlatform, 'playfair-display-regular');
  sans = await loadShipped(nodePlatform, 'figtree-regular');
  script = await loadShipped(nodePlatform, 'great-vibes-regular');
});

const style = (changes: Partial<WordsStyle>): WordsStyle => ({
  ...{ text: 'Sea Holly', typeface: 'x', size: 20, tracking: 0, leading: 1.2, align: 'left' },
  ...{ fit: 'fixed', least: 6, path: { kind: 'straight' } },
  ...changes,
});
const room = { width: 200, height: 40 };
const ids = (changes: Partial<WordsStyle>, face: Typeface): number[] =>
  setWords(style(changes), room, face).glyphs.map(({ id }) => id);
const feature = (start: number, end: number, tag = 'smcp', value = 1): Feature => ({
  ...{ start, end, tag, value },
});

test('what letters could be instead is what the features of their typeface change of them', () => {
  const tags = (face: Typeface, text: string): string[] =>
    formsOf(face.shape, [...face.features().keys()], text).map(({ tag, value }) => tag + value);
  expect(tags(serif, 'holly')).toContain('smcp1');
  expect(tags(serif, 'HOLLY')).toContain('c2sc1');
  expect(tags(serif, 'HOLLY')).not.toContain('smcp1');
  expect(tags(serif, 'fi')).toContain('liga0'); // joined unless switched off
  expect(tags(sans, '1/2')).toContain('frac1');
  expect(tags(sans, 'a')).toContain('ss011');
  expect(tags(serif, '')).toEqual([]);
  // What is looked for most comes first, switching off what is usual last.
  const fish = tags(serif, 'Fi fi 12');
  expect([fish[0], fish.at(-1)]).toEqual(['smcp1', 'liga0']);
  expect(sans.features().get('ss01')).toBe('Single-storey a');
});

test('small capitals stand for the letters that are marked, and are still those letters', () => {
  const plain = setWords(style({}), room, serif).glyphs;
  const made = setWords(style({ features: [feature(4, 9)] }), room, serif).glyphs;
  expect(made.slice(0, 5).map(({ id }) => id)).toEqual(plain.slice(0, 5).map(({ id }) => id));
  // The capital stays as it is; the four small letters are others.
  const changed = made.map(({ id }, at) => id !== plain[at]?.id);
  expect(changed).toEqual([...Array<boolean>(5).fill(false), true, true, true, true]);
  expect(made.map(({ text }) => text).join('')).toBe('Sea Holly');
});

test('forms go with their letters onto other lines, into capitals and into small print', () => {
  const broken = ids({ text: 'Sea\nHolly', features: [feature(4, 9)] }, serif);
  const line = ids({ text: 'Holly', features: [feature(0, 5)] }, serif);
  expect(broken.slice(3)).toEqual(line);
  const wrapped = setWords(
    style({ features: [feature(4, 9)], fit: 'wrap' }),
    { width: 24, height: 40 },
    serif,
  );
  expect(new Set(wrapped.glyphs.map(({ y }) => y)).size).toBe(2);
  expect(wrapped.glyphs.slice(-5).map(({ id }) => id)).toEqual(line);
  const [capital] = ids({ text: 'x', case: 'upper', features: [feature(0, 1, 'c2sc')] }, serif);
  expect(capital).toBe(ids({ text: 'X', features: [feature(0, 1, 'c2sc')] }, serif)[0]);
  expect(capital).not.toBe(ids({ text: 'X' }, serif)[0]);
  const list = { heading: 'Of', between: ', ' } as const;
  const run = ids({ text: 'sea\nholly', list, features: [feature(4, 9)] }, serif);
  expect(run.slice(-5)).toEqual(ids({ text: 'holly', features: [feature(0, 5)] }, serif));
});

test('a fraction is narrower than its figures in a row, and a swash is another letter', () => {
  const width = (features: Feature[]): number => {
    const { ink } = setWords(style({ text: '1/2', features }), room, sans);
    return (ink?.right ?? 0) - (ink?.left ?? 0);
  };
  expect(width([feature(0, 3, 'frac')])).toBeLessThan(width([]) * 0.95);
  expect(ids({ text: 'T', features: [feature(0, 1, 'ss01')] }, script)).not.toEqual(
    ids({ text: 'T' }, script),
  );
});

test.each([
  ['put before', 'a sea holly', [6, 11]],
  ['put among them', 'sea ho-lly', [4, 10]],
  ['put behind', 'sea holly!', [4, 9]],
  ['taken out before', 'holly', [0, 5]],
  ['taken out among them', 'sea hy', [4, 6]],
  ['all exchanged', 'thistle', undefined],
])('forms keep to their letters when something is %s', (_, after, range) => {
  const moved = movedFeatures([feature(4, 9)], 'sea holly', after);
  if (range) expect(moved).toEqual([feature(range[0] ?? 0, range[1] ?? 0)]);
  else expect(moved.every(({ end }) => end <= after.length)).toBe(true);
});

test('forms of the whole text stay on the whole of another', () => {
  expect(movedFeatures([feature(0, 9)], 'sea holly', 'thistle')).toEqual([feature(0, 7)]);
  expect(textChanges(style({ features: [feature(0, 9)] }), 'thistle')).toEqual({
    text: 'thistle',
    features: [feature(0, 7)],
  });
  expect(textChanges(style({}), 'thistle')).toEqual({ text: 'thistle' });
});

const anyRange = fc
  .tuple(fc.nat(30), fc.integer({ min: 1, max: 10 }))
  .map(([start, length]) => ({ start, end: start + length }));
const anyForm = fc.record({
  range: anyRange,
  tag: fc.constantFrom('smcp', 'ss01'),
  value: fc.option(fc.integer({ min: 0, max: 3 }), { nil: undefined }),
});

/** The form of one character. */
const at = (features: readonly Feature[], place: number, tag: string): number | undefined =>
  formIn(features, { start: place, end: place + 1 }, tag);

test('a form chosen last is the one that letters have, and no others are touched', () => {
  fc.assert(
    fc.property(fc.array(anyForm, { maxLength: 12 }), (chosen) => {
      const wanted = new Map<string, number | undefined>();
      let features: readonly Feature[] = [];
      for (const { range, tag, value } of chosen) {
        features = withForm(features, range, { tag, value });
        for (let place = range.start; place < range.end; place++) wanted.set(tag + place, value);
      }
      for (const tag of ['smcp', 'ss01'])
        for (let place = 0; place < 42; place++)
          expect(at(features, place, tag)).toBe(wanted.get(tag + place));
    }),
  );
});

test('features of a part are those of its letters, and of a made text those of where they come from', () => {
  fc.assert(
    fc.property(anyRange, anyRange, (one, part) => {
      const within = featuresWithin([feature(one.start, one.end)], part);
      for (let place = part.start; place < part.end; place++)
        expect(at(within, place - part.start, 'smcp')).toBe(
          place >= one.start && place < one.end ? 1 : undefined,
        );
    }),
  );
  // “ß” becomes two letters in capitals.
  expect(featuresOfMade([feature(1, 2)], [0, 1, 1, 2, 3])).toEqual([feature(1, 3)]);
  expect(featuresOfMade(undefined, [0, 1])).toEqual([]);
});
