import { inCase, runOn } from './cased.ts';
import { loadShipped, setWords, type WordsStyle } from './index.ts';
import { nodePlatform } from '../testing/node-platform.ts';

const typed = 'oats\n honey \n\nsunflower seeds';

test('lines become a list under a heading; empty ones are left out', () => {
  expect(runOn(inCase(typed, 'typed'), { heading: 'Ingredients', between: ', ' }).text).toBe(
    'Ingredients\noats, honey, sunflower seeds',
  );
  expect(runOn(inCase(typed, 'upper'), { heading: '  ', between: ' · ' }).text).toBe(
    'OATS · HONEY · SUNFLOWER SEEDS',
  );
  expect(runOn(inCase('', 'typed'), { heading: 'Care', between: ', ' }).text).toBe('Care\n');
});

test('each character of a list is found again where it was typed', () => {
  const { text, from } = runOn(inCase(typed, 'typed'), { heading: 'To eat', between: '; ' });
  for (const word of ['oats', 'honey', 'seeds'])
    expect(from[text.indexOf(word)]).toBe(typed.indexOf(word));
  expect(from).toHaveLength(text.length + 1);
});

test('small print is refitted when an item is added: it shrinks and stays in its room', async () => {
  const typeface = await loadShipped(nodePlatform, 'figtree-regular');
  const style: WordsStyle = {
    ...{ text: typed, typeface: 'figtree-regular', size: 9, tracking: 0, leading: 1.2 },
    ...{ align: 'left', fit: 'wrap-shrink', least: 4, path: { kind: 'straight' } },
    list: { heading: 'INGREDIENTS', between: ', ' },
  };
  const room = { width: 30, height: 10 };
  const short = setWords(style, room, typeface);
  const long = setWords(
    { ...style, text: `${typed}\nalmonds\nraisins\ndried apple\nsalt\npumpkin seeds` },
    room,
    typeface,
  );
  expect(short.strong?.filter(Boolean)).toHaveLength('INGREDIENTS'.length);
  expect(long.size).toBeLessThan(short.size);
  expect(long.overflows).toBe(false);
  for (const { ink } of [short, long]) {
    expect(ink?.right).toBeLessThanOrEqual(15.05);
    expect((ink?.bottom ?? 0) - (ink?.top ?? 0)).toBeLessThanOrEqual(10);
  }
});
