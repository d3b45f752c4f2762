import { nodePlatform } from '../testing/node-platform.ts';
import { brokenLines, paragraphsOf, type Paragraph } from './lines.ts';
import { loadShipped, type Typeface } from './index.ts';

let face: Typeface;
beforeAll(async () => {
  face = await loadShipped(nodePlatform, 'courier-prime-regular');
});

const measured = (text: string, tracking = 0): Paragraph[] =>
  paragraphsOf(text, ({ start, end }) => face.shape(text.slice(start, end)), tracking);

/** A text broken wherever it may be. */
const parts = (text: string): string[] =>
  brokenLines(measured(text), 0, false).map(({ start, end }) => text.slice(start, end));

test.each([
  // The rules of Unicode Standard Annex 14 by their numbers.
  ['LB4, a line end is one', 'tea\ntin', ['tea', 'tin']],
  ['LB8, behind a space of no width', 'tea\u200btin', ['tea\u200b', 'tin']],
  ['LB11, not at a word joiner', 'tea\u2060tin', ['tea\u2060tin']],
  ['LB12, not at a space that does not break', 'No.\u00a07', ['No.\u00a07']],
  ['LB13, not before an exclamation or a closing bracket', '(tin)! Lid', ['(tin)!', 'Lid']],
  ['LB14, not behind an opening bracket', '( tin', ['( tin']],
  ['LB17, on both sides of a long dash', 'plum\u2014jam', ['plum', '\u2014', 'jam']],
  ['LB18, behind spaces', 'sea  holly', ['sea', 'holly']],
  ['LB19, not inside of quotes', 'the “good” tin', ['the', '“good”', 'tin']],
  ['LB21, behind a hyphen', 'jar-lid', ['jar-', 'lid']],
  ['LB21, behind a soft hyphen', 'rose\u00admary', ['rose\u00ad', 'mary']],
  ['LB25, not inside of a number', '-3.50 1,000 100% 12/24', ['-3.50', '1,000', '100%', '12/24']],
  ['LB25, not between a sign of money and its number', '€3.50', ['€3.50']],
  ['LB28, not between letters, nor at an apostrophe', 'don’t', ['don’t']],
  ['LB31, between ideographs', '草木', ['草', '木']],
  ['LB13, not before an ideographic full stop', '草。', ['草。']],
])('%s', (_, text, broken) => {
  expect(parts(text)).toEqual(broken);
});

test('a line takes what it can hold, and a word that is too long stands alone', () => {
  // In a typewriter face every letter is as wide as every other.
  const [one] = face.shape('n');
  const wide = (letters: number): number => letters * (one?.advance ?? 0);
  const text = 'sea holly in chamomile';
  const lines = (letters: number, balanced = false): string[] =>
    brokenLines(measured(text), wide(letters), balanced).map(({ start, end }) =>
      text.slice(start, end),
    );
  expect(lines(9)).toEqual(['sea holly', 'in', 'chamomile']);
  expect(lines(12)).toEqual(['sea holly in', 'chamomile']);
  expect(lines(5)).toEqual(['sea', 'holly', 'in', 'chamomile']);
  expect(lines(22)).toEqual([text]);
  // Evened out over the same number of lines.
  expect(lines(18)).toEqual(['sea holly in', 'chamomile']);
  expect(lines(18, true)).toEqual(['sea holly in', 'chamomile']);
  expect(lines(21)).toEqual(['sea holly in', 'chamomile']);
});

test('spacing between letters counts where lines are broken', () => {
  const [one] = face.shape('n');
  const advance = one?.advance ?? 0;
  const broken = (tracking: number): number =>
    brokenLines(measured('tea tin', tracking), 7 * advance, false).length;
  expect([broken(0), broken(advance / 10)]).toEqual([1, 2]);
});

test('an empty text is one empty line, and each line end makes another', () => {
  expect(parts('')).toEqual(['']);
  expect(parts('a\n\nb')).toEqual(['a', '', 'b']);
});
