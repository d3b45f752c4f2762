import { nodePlatform } from '../testing/node-platform.ts';
import { boxOfRings, flatten } from '../geometry/index.ts';
import { MM_PER_PT } from '../units/index.ts';
import {
  faceForScript,
  loadShipped,
  loadSubsetter,
  loadTypeface,
  setWords,
  TYPEFACES,
  type Typeface,
  type WordsStyle,
} from './index.ts';

let serif: Typeface;
let mono: Typeface;
beforeAll(async () => {
  serif = await loadShipped(nodePlatform, 'fraunces-semibold');
  mono = await loadShipped(nodePlatform, 'courier-prime-regular');
});

const style = (changes: Partial<WordsStyle> = {}): WordsStyle => ({
  text: 'SEA HOLLY',
  typeface: 'courier-prime-regular',
  size: 10,
  tracking: 0,
  leading: 1.2,
  align: 'centre',
  fit: 'fixed',
  least: 6,
  path: { kind: 'straight' },
  ...changes,
});
const room = { width: 60, height: 20 };
const EM = 10 * MM_PER_PT;

test.each(TYPEFACES)('$name loads and has the letters of a label', async ({ id }) => {
  const typeface = await loadShipped(nodePlatform, id);
  const glyphs = typeface.shape('Größe & Ünïcødé 0.5 ×');
  expect(glyphs.some((glyph) => glyph.id === 0)).toBe(false);
  expect(typeface.capHeight).toBeGreaterThan(0.5);
  expect(typeface.capHeight).toBeLessThan(0.95);
});

test('bytes that are no font are refused', () => {
  expect(() => loadTypeface('x', new Uint8Array(100))).toThrow();
});

test('a typewriter line is as wide as its letters are many', () => {
  const { glyphs, overflows } = setWords(style({ align: 'left' }), room, mono);
  expect(glyphs).toHaveLength(9);
  expect(glyphs[0]?.x).toBeCloseTo(-30, 6);
  expect((glyphs[8]?.x ?? 0) - (glyphs[0]?.x ?? 0)).toBeCloseTo(8 * 0.6 * EM, 1);
  expect(overflows).toBe(false);
});

test('tracking widens between letters and not at the end, so that centred stays centred', () => {
  const { glyphs } = setWords(style({ text: 'II', tracking: 50 }), room, mono);
  const [first, second] = glyphs;
  expect((second?.x ?? 0) - (first?.x ?? 0)).toBeCloseTo(1.1 * EM, 2);
  expect((first?.x ?? 0) + (second?.x ?? 0) + 0.6 * EM).toBeCloseTo(0, 2);
});

test('capitals stand in the middle of their room', () => {
  const { ink } = setWords(style({ text: 'HHH' }), room, mono);
  expect((ink?.top ?? 0) + (ink?.bottom ?? 1)).toBeCloseTo(0, 2);
});

test('words that are too long shrink to their room, and stop at the least size', () => {
  const long = style({ text: 'Ranunculus acris', fit: 'shrink', size: 20 });
  const tight = setWords(long, { width: 30, height: 20 }, mono);
  expect(tight.size).toBeCloseTo(30 / (16 * 0.6) / MM_PER_PT, 1);
  expect(tight.overflows).toBe(false);
  const tighter = setWords(long, { width: 10, height: 20 }, mono);
  expect(tighter.size).toBe(6);
  expect(tighter.overflows).toBe(true);
  expect(setWords({ ...long, fit: 'fixed' }, { width: 10, height: 20 }, mono).size).toBe(20);
});

test('kerning and ligatures come from the typeface', () => {
  const width = (text: string): number =>
    serif.shape(text).reduce((sum, { advance }) => sum + advance, 0);
  expect(width('AV')).toBeLessThan(width('A') + width('V'));
  expect(
    serif
      .shape('Thistle')
      .map(({ text }) => text)
      .join(''),
  ).toBe('Thistle');
});

test('letters stand on the circle, heads out at the top and in along the bottom', () => {
  const around = (side: 'outside' | 'inside', angle: number) =>
    setWords(
      style({ text: 'HHHHH', path: { kind: 'circle', radius: 20, side, angle, reach: 300 } }),
      room,
      mono,
    );
  const top = around('outside', 0);
  const middle = top.glyphs[2];
  expect(middle?.angle).toBeCloseTo(0, 6);
  expect(middle?.y).toBeCloseTo(-20, 6);
  expect(top.ink?.top).toBeLessThan(-21.5);
  const bottom = around('inside', 180);
  expect(bottom.glyphs[2]?.y).toBeCloseTo(20, 6);
  expect(bottom.glyphs[2]?.angle).toBeCloseTo(360, 6);
  expect((bottom.glyphs[0]?.x ?? 0) < (bottom.glyphs[4]?.x ?? 0)).toBe(true);
  expect(bottom.ink?.bottom).toBeLessThan(20.3);
  for (const { x, y } of [...top.glyphs, ...bottom.glyphs]) {
    expect(Math.abs(Math.hypot(x, y) - 20)).toBeLessThan(0.06);
  }
});

test('what a typeface lacks is named', () => {
  expect(setWords(style({ text: 'A漢B' }), room, mono).missing).toEqual(['漢']);
});

test('a subset keeps glyph numbers, advances and outlines, and little else', async () => {
  const subset = await loadSubsetter(nodePlatform);
  const ids = serif.shape('Sea Holly').map(({ id }) => id);
  const bytes = subset(serif, ids);
  expect(bytes.length).toBeLessThan(serif.bytes.length / 4);
  // The character map goes with the other letters, so the cut-down font is read by glyph number.
  const again = loadTypeface('subset', bytes);
  for (const id of ids) {
    expect(again.advance(id)).toBe(serif.advance(id));
    expect(boxOfRings(flatten(again.outline(id)))).toEqual(boxOfRings(flatten(serif.outline(id))));
  }
});

test.each([
  ['Basil', 'fraunces-semibold', true, 'fraunces-semibold'],
  ['ريحان', 'fraunces-semibold', true, 'noto-sans-arabic-bold'],
  ['तुलसी', 'figtree-regular', false, 'noto-sans-devanagari-regular'],
  ['โหระพา', 'figtree-regular', false, 'noto-sans-thai-regular'],
  ['ريحان', 'noto-sans-thai-regular', false, 'noto-sans-thai-regular'],
  // A typeface of one's own, by its hash.
  ['ريحان', 'a1b2c3', true, 'a1b2c3'],
])('for %s in %s a face is chosen that has its letters', (text, face, isBold, chosen) => {
  expect(faceForScript(text, face, isBold)).toBe(chosen);
});
