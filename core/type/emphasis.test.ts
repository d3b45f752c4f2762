import { nodePlatform } from '../testing/node-platform.ts';
import { emphasized } from './emphasis.ts';
import { loadShipped, setWords, typedEmphasis, type WordsStyle } from './index.ts';

const found = (text: string, words: string[]): string[] =>
  emphasized(text, words).map(({ start, end }) => text.slice(start, end));

test('whole words are found in any case, and the longest of several', () => {
  expect(found('Oats, ALMOND OIL, almond milk', ['almond', 'almond oil'])).toEqual([
    'ALMOND OIL',
    'almond',
  ]);
  expect(found('buttermilk, milkweed', ['milk'])).toEqual([]);
  expect(found('crème (nüsse), NÜSSE', ['nüsse'])).toEqual(['nüsse', 'NÜSSE']);
  expect(found('a.b a+b', ['a+b'])).toEqual(['a+b']);
  expect(found('anything', [])).toEqual([]);
});

test('a typed list is apart by commas, semicolons or lines, and names each once', () => {
  expect(typedEmphasis(' milk, Nuts;\nmilk ,, MILK')).toEqual(['MILK', 'Nuts']);
  expect(typedEmphasis('x'.repeat(200))[0]).toHaveLength(60);
});

test('letters of emphasized words and of the heading are set stronger, and no others', async () => {
  const style: WordsStyle = {
    ...{ text: 'oats, honey', typeface: 'figtree-regular', size: 9, tracking: 0, leading: 1.2 },
    ...{ align: 'left', fit: 'wrap-shrink', least: 4, path: { kind: 'straight' } },
    list: { heading: 'Ingredients', between: ' ', runsIn: true },
    emphasis: ['honey'],
  };
  const typeface = await loadShipped(nodePlatform, 'figtree-regular');
  const set = setWords(style, { width: 80, height: 10 }, typeface);
  const strong = set.glyphs.filter((_, at) => set.strong?.[at]).map(({ text }) => text);
  expect(strong.join('')).toBe('Ingredients:honey');
  // In the first line, before a colon.
  const said = set.glyphs.map(({ text }) => text).join('');
  expect(said).toBe('Ingredients: oats, honey');
  // Nothing to say prints no name, either.
  expect(
    setWords({ ...style, text: ' ' }, { width: 80, height: 10 }, typeface).ink,
  ).toBeUndefined();
});
