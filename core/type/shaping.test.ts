import { readFileSync } from 'node:fs';
import { nodePlatform } from '../testing/node-platform.ts';
import { loadShipped } from './index.ts';
import { runsOf } from './runs.ts';

interface Reference {
  readonly shaper: string;
  readonly samples: readonly {
    readonly typeface: string;
    readonly text: string;
    /** Glyph id and advance in font units. */
    readonly glyphs: readonly (readonly [number, number])[];
  }[];
}
const reference = JSON.parse(readFileSync('core/type/reference-shaping.json', 'utf8')) as Reference;

test.each(reference.samples)(
  '“$text” in $typeface has the glyphs and advances of the reference shaper',
  async ({ typeface: id, text, glyphs }) => {
    const typeface = await loadShipped(nodePlatform, id);
    const shaped = typeface
      .shape(text)
      .map(({ id: glyph, advance }) => [glyph, Math.round(advance * typeface.unitsPerEm)]);
    expect(shaped).toEqual(glyphs);
  },
);

test('a line of two directions is split into runs that stand as they are read', () => {
  const line = 'Honey عسل 250 g';
  const told = runsOf(line).map(({ start, end, leftward }) => [line.slice(start, end), leftward]);
  expect(told[0]).toEqual(['Honey ', false]);
  expect(told.find(([, leftward]) => leftward)).toEqual(['عسل ', true]);
  // In a line that is read from the right, what comes first stands at the right.
  const right = 'عسل Honey';
  expect(runsOf(right).map(({ start, end }) => right.slice(start, end))).toEqual(['Honey', 'عسل ']);
});

test('every character of mixed words is told by some glyph, in both directions', async () => {
  const typeface = await loadShipped(nodePlatform, 'noto-sans-arabic-regular');
  for (const text of ['عسل abc', 'abc عسل 12', 'لا إله', 'é ê']) {
    const told = typeface
      .shape(text)
      .map((glyph) => glyph.text)
      .join('');
    expect([...told].sort()).toEqual([...text].sort());
  }
});
