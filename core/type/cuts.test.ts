import fc from 'fast-check';
import { FAMILIES, nearestFace, REGULAR, type Cut } from './index.ts';
import { nearestCut } from './cuts.ts';

const cut = (weight: number, changes: Partial<Cut> = {}): Cut => ({
  ...REGULAR,
  weight,
  ...changes,
});

// CSS Fonts Level 4, 5.2, step 4: what is tried when a weight is missing.
test.each([
  [400, [300, 500, 600], 500],
  [400, [300, 600], 300],
  [450, [400, 500], 500],
  [500, [400, 600], 400],
  [500, [600, 700], 600],
  [300, [100, 200, 400], 200],
  [300, [400, 700], 400],
  [700, [600, 800, 900], 800],
  [700, [300, 400], 400],
])('of the weight %i among %j comes %i', (wanted, weights, found) => {
  expect(
    nearestCut(
      weights.map((one) => cut(one)),
      cut(wanted),
    ),
  ).toEqual(cut(found));
});

test('width goes before slope, and slope before weight', () => {
  const narrow = cut(900, { width: 75, italic: true });
  const heavy = cut(900);
  const slanted = cut(100, { italic: true });
  expect(nearestCut([narrow, heavy, slanted], cut(400, { width: 80 }))).toBe(narrow);
  expect(nearestCut([narrow, heavy, slanted], cut(900, { italic: true }))).toBe(slanted);
  expect(nearestCut([narrow, heavy, slanted], cut(100))).toBe(heavy);
  expect(nearestCut([], cut(400))).toBeUndefined();
});

const anyCut = fc.record({
  weight: fc.integer({ min: 1, max: 1000 }),
  width: fc.constantFrom(50, 75, 100, 125, 200),
  italic: fc.boolean(),
});

test('a cut that is there is always found, whatever else is', () => {
  fc.assert(
    fc.property(fc.array(anyCut, { minLength: 1, maxLength: 20 }), fc.nat(), (cuts, pick) => {
      const wanted = cuts[pick % cuts.length] as Cut;
      expect(nearestCut(cuts, wanted)).toEqual(wanted);
    }),
  );
});

test('bold and italic of a family that ships are its own, or what comes nearest', () => {
  const find = (name: string, wanted: Cut): string => {
    const family = FAMILIES.find((one) => one.name === name);
    if (!family) throw new Error(name);
    return nearestFace(family, wanted);
  };
  expect(find('Figtree', cut(700))).toBe('figtree-semibold');
  expect(find('Figtree', cut(700, { italic: true }))).toBe('figtree-semibold-italic');
  expect(find('Playfair Display', cut(400))).toBe('playfair-display-regular');
  expect(find('Bitter', cut(700, { italic: true }))).toBe('bitter-medium-italic');
  expect(find('Pacifico', cut(900, { italic: true }))).toBe('pacifico-regular');
});
