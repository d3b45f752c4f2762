import fc from 'fast-check';
import { nodePlatform } from '../testing/node-platform.ts';
import { MM_PER_PT } from '../units/index.ts';
import { inCase } from './cased.ts';
import {
  loadShipped,
  movedNudges,
  setWords,
  withNudge,
  type Typeface,
  type WordsStyle,
} from './index.ts';

let mono: Typeface;
let arabic: Typeface;
beforeAll(async () => {
  mono = await loadShipped(nodePlatform, 'courier-prime-regular');
  arabic = await loadShipped(nodePlatform, 'noto-sans-arabic-regular');
});

const style = (changes: Partial<WordsStyle> = {}): WordsStyle => ({
  text: 'SEA HOLLY',
  typeface: 'courier-prime-regular',
  size: 10,
  tracking: 0,
  leading: 1.2,
  align: 'left',
  fit: 'wrap',
  least: 4,
  path: { kind: 'straight' },
  ...changes,
});
const EM = 10 * MM_PER_PT;
const LETTER = 0.6 * EM; // every letter of the typewriter face is 0.6 em wide

/** The lines that come out, read from the letters of each baseline. */
function linesOf(words: WordsStyle, width: number, height = 100): string[] {
  const { glyphs } = setWords(words, { width, height }, mono);
  const lines = new Map<number, string>();
  for (const { y, text } of glyphs) {
    const key = Math.round(y * 100);
    lines.set(key, (lines.get(key) ?? '') + text);
  }
  return [...lines.values()];
}

test('a wrapped paragraph takes what each line holds, and leaves out the space at its end', () => {
  const words = style({ text: 'one two three four' });
  expect(linesOf(words, 9.2 * LETTER)).toEqual(['one two', 'three', 'four']);
  expect(linesOf(words, 10.1 * LETTER)).toEqual(['one two', 'three four']);
  expect(linesOf(words, 100)).toEqual(['one two three four']);
});

test('balanced lines are as even as the number of lines allows', () => {
  const text = 'aaaa bbbb cccc dddd ee';
  expect(linesOf(style({ text }), 19.5 * LETTER)).toEqual(['aaaa bbbb cccc dddd', 'ee']);
  expect(linesOf(style({ text, balanced: true }), 19.5 * LETTER)).toEqual([
    'aaaa bbbb',
    'cccc dddd ee',
  ]);
});

test('lines end after a hyphen too, and what was broken by hand stays broken', () => {
  expect(linesOf(style({ text: 'slow-worm' }), 6 * LETTER)).toEqual(['slow-', 'worm']);
  expect(linesOf(style({ text: 'a\nb c' }), 50)).toEqual(['a', 'b c']);
});

test('wrap and shrink finds the largest size at which the lines fit, and never less than the least', () => {
  const words = style({ text: 'one two three four', fit: 'wrap-shrink', size: 40 });
  const set = setWords(words, { width: 30, height: 12 }, mono);
  expect(set.overflows).toBe(false);
  const larger = setWords(
    { ...words, fit: 'wrap', size: set.size * 1.01 },
    { width: 30, height: 12 },
    mono,
  );
  expect(larger.overflows).toBe(true);
  const tight = setWords({ ...words, least: 20 }, { width: 30, height: 5 }, mono);
  expect(tight.size).toBe(20);
  expect(tight.overflows).toBe(true);
});

test('whatever fits is inside its room', () => {
  const word = fc.string({ minLength: 1, maxLength: 9, unit: fc.constantFrom('a', 'W', 'i', 'é') });
  fc.assert(
    fc.property(
      fc.array(word, { minLength: 1, maxLength: 12 }),
      fc.double({ min: 12, max: 60, noNaN: true }),
      fc.double({ min: 8, max: 30, noNaN: true }),
      (list, width, height) => {
        const words = style({ text: list.join(' '), fit: 'wrap-shrink', size: 30, balanced: true });
        const { overflows, glyphs, size } = setWords(words, { width, height }, mono);
        if (overflows) return;
        for (const { x } of glyphs) {
          expect(x).toBeGreaterThan(-width / 2 - 0.01);
          expect(x + 0.6 * size * MM_PER_PT).toBeLessThan(width / 2 + 0.01);
        }
      },
    ),
    { numRuns: 60, seed: 5 },
  );
});

test('a block settles at the top, in the middle or at the bottom of its room', () => {
  const foot = (settle: WordsStyle['settle']): number =>
    setWords(style({ text: 'HH', ...(settle ? { settle } : {}) }), { width: 40, height: 20 }, mono)
      .ink?.bottom ?? 0;
  const cap = mono.capHeight * EM;
  expect(foot('top')).toBeCloseTo(-10 + cap, 1);
  expect(foot('middle')).toBeCloseTo(cap / 2, 1);
  expect(foot('bottom')).toBeCloseTo(10, 1);
});

test('on an arc letters stand on circles about its centre, and a wave keeps distances along itself', () => {
  const room = { width: 60, height: 20 };
  const arc = setWords(
    style({ text: 'HHHHH', align: 'centre', path: { kind: 'arc', radius: 40, bow: 'up' } }),
    room,
    mono,
  );
  // The capitals stand about the middle of the room, so their feet are half a capital below it.
  const feet = 40 - (mono.capHeight * EM) / 2;
  const mids = arc.glyphs.map(({ x, y, angle }) => {
    const turn = (angle * Math.PI) / 180;
    return { x: x + (LETTER / 2) * Math.cos(turn), y: y + (LETTER / 2) * Math.sin(turn) };
  });
  for (const { x, y } of mids) expect(Math.hypot(x, y - 40)).toBeCloseTo(feet, 3);
  expect(arc.glyphs[2]?.angle).toBeCloseTo(0, 6);
  expect(arc.glyphs[4]?.angle).toBeCloseTo(((2 * LETTER) / feet) * (180 / Math.PI), 1);
  const wave = setWords(
    style({
      text: 'HHHHHHHHHH',
      align: 'centre',
      path: { kind: 'wave', height: 3, length: 20, start: 0.1 },
    }),
    room,
    mono,
  );
  const xs = wave.glyphs.map(({ x }) => x);
  expect((xs[9] ?? 0) - (xs[0] ?? 0)).toBeLessThan(9 * LETTER * 0.93);
});

test('a letter moved by hand is moved in its own upright, and no other is', () => {
  const room = { width: 60, height: 20 };
  const plain = setWords(style({ text: 'abc' }), room, mono).glyphs;
  const moved = setWords(
    style({ text: 'abc', nudges: [{ at: 1, x: 50, y: -20, turn: 0 }] }),
    room,
    mono,
  ).glyphs;
  expect((moved[1]?.x ?? 0) - (plain[1]?.x ?? 0)).toBeCloseTo(0.5 * EM, 6);
  expect((moved[1]?.y ?? 0) - (plain[1]?.y ?? 0)).toBeCloseTo(-0.2 * EM, 6);
  expect([moved[0], moved[2]]).toEqual([plain[0], plain[2]]);
});

test('carets stand before every letter and behind the last, also where the case changes the length', () => {
  const room = { width: 60, height: 20 };
  const set = setWords(style({ text: 'ab' }), room, mono);
  expect(set.carets().map(({ at, x }) => [at, Math.round((x + 30) / LETTER)])).toEqual([
    [0, 0],
    [1, 1],
    [2, 2],
  ]);
  const upper = setWords(style({ text: 'maß', case: 'upper' }), room, mono);
  expect(upper.glyphs.map(({ text }) => text).join('')).toBe('MASS');
  expect(Math.max(...upper.carets().map(({ at }) => at))).toBe(3);
  // Read from the right: the first caret stands at the right end.
  const right = setWords(style({ text: 'عسل' }), room, arabic).carets();
  expect(right[0]?.x ?? 0).toBeGreaterThan(right[right.length - 1]?.x ?? 0);
});

test('cases are written letter by letter and each letter is found again', () => {
  expect(inCase('sea HOLLY', 'title').text).toBe('Sea Holly');
  expect(inCase('don’t stop', 'title').text).toBe('Don’t Stop');
  expect(inCase('Straße', 'upper')).toEqual({
    text: 'STRASSE',
    from: [0, 1, 2, 3, 4, 4, 5, 6],
  });
});

test('letters moved by hand keep their places when words around them change', () => {
  const nudges = [
    { at: 1, x: 5, y: 0, turn: 0 },
    { at: 6, x: 0, y: 9, turn: 0 },
  ];
  expect(movedNudges(nudges, 'sea holly', 'a sea holly').map(({ at }) => at)).toEqual([3, 8]);
  expect(movedNudges(nudges, 'sea holly', 'sea jolly').map(({ at }) => at)).toEqual([1, 6]);
  expect(movedNudges(nudges, 'sea holly', 'sea').map(({ at }) => at)).toEqual([1]);
  expect(withNudge(nudges, [1, 2], { y: 3 })).toEqual([
    { at: 1, x: 5, y: 3, turn: 0 },
    { at: 2, x: 0, y: 3, turn: 0 },
    { at: 6, x: 0, y: 9, turn: 0 },
  ]);
  expect(withNudge(nudges, [1, 6], { x: 0, y: 0, turn: 0 })).toEqual([]);
});
