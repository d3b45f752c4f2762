import { readFileSync } from 'node:fs';
import { expectOk } from '../base/index.ts';
import { nodePlatform } from '../testing/node-platform.ts';
import {
  axesOf,
  findFace,
  instanceId,
  loadSubsetter,
  loadTypeface,
  ownFamilies,
  readInstanceId,
  readTypeface,
  typefaceAt,
} from './index.ts';

const file = 'node_modules/@fontsource-variable/figtree/files/figtree-latin-wght-normal.woff2';
const read = await readTypeface(new Uint8Array(readFileSync(file)), 'fig.woff2');
const { typeface, bytes } = expectOk(read);
const { id, axes = [] } = typeface;
const usual = loadTypeface(id, bytes);
const at = (weight: number) => typefaceAt(usual, instanceId(id, axes, { wght: weight }));
const widthOf = (face: typeof usual): number =>
  face.shape('Sea Holly').reduce((sum, { advance }) => sum + advance, 0);

test('a variable typeface tells its axes and is chosen by the hundreds of its weights', () => {
  expect(axes).toEqual([{ tag: 'wght', name: 'Weight', min: 300, usual: 300, max: 900 }]);
  const [family] = ownFamilies([typeface]);
  expect(family?.cuts.map(({ weight }) => weight)).toEqual([300, 400, 500, 600, 700, 800, 900]);
  expect(family?.cuts[0]?.id).toBe(id);
  expect(family?.cuts[3]?.id).toBe(`${id}@wght=600`);
});

test.each([
  [400, 'figtree-regular'],
  [600, 'figtree-semibold'],
])('at %i it is as wide as the cut of that weight that its maker draws', async (weight, cut) => {
  const drawn = loadTypeface(cut, await nodePlatform.asset(`${cut}.ttf`));
  expect(widthOf(at(weight))).toBeCloseTo(widthOf(drawn), 1);
  expect(at(weight).box(at(weight).shape('H')[0]?.id ?? 0)?.right).toBeCloseTo(
    drawn.box(drawn.shape('H')[0]?.id ?? 0)?.right ?? 0,
    2,
  );
});

test('any weight between is between', () => {
  const widths = [300, 350, 400, 731, 900].map((weight) => widthOf(at(weight)));
  expect(widths).toEqual(widths.toSorted((one, other) => one - other));
  expect(new Set(widths).size).toBe(5);
});

test('a subset is a plain font with the letters as they are at its place', async () => {
  const subset = await loadSubsetter(nodePlatform);
  const face = at(731);
  const glyphs = face.shape('Sea Holly').map((glyph) => glyph.id);
  for (const made of [subset(face, glyphs), subset(face, 'all')]) {
    const plain = loadTypeface('plain', made);
    expect(plain.metadata.axes).toEqual([]);
    for (const glyph of glyphs) {
      // Outlines of a font lie on whole units.
      expect(plain.advance(glyph)).toBeCloseTo(face.advance(glyph), 0);
      expect(plain.box(glyph)?.right ?? 0).toBeCloseTo(face.box(glyph)?.right ?? 0, 2);
    }
  }
  expect(subset(face, 'all')).not.toBe(bytes);
  expect(subset(loadTypeface('still', subset(face, 'all')), 'all')).toBe(subset(face, 'all'));
});

test('an id says where on the axes: within them, without what is usual, by tag', () => {
  const two = [
    { tag: 'wght', name: 'Weight', min: 100, usual: 400, max: 900 },
    { tag: 'wdth', name: 'Width', min: 75, usual: 100, max: 125 },
  ];
  expect(instanceId('a', two, { wght: 400, wdth: 100 })).toBe('a');
  expect(instanceId('a', two, { wght: 350.129, wdth: 80 })).toBe('a@wdth=80,wght=350.13');
  expect(instanceId('a', two, { wght: 5000, wdth: -3, other: 7 })).toBe('a@wdth=75,wght=900');
  expect(readInstanceId('a@wdth=80,wght=350.13')).toEqual({
    id: 'a',
    values: { wdth: 80, wght: 350.13 },
  });
  expect(readInstanceId('a')).toEqual({ id: 'a', values: {} });
  expect(readInstanceId('a@nonsense,wght=,=3,slnt=-10')).toEqual({
    id: 'a',
    values: { slnt: -10 },
  });
});

test('a face is found wherever on its axes, with the cut that it is there', () => {
  const own = [typeface];
  expect(findFace(`${id}@wght=350`, own)).toMatchObject({
    weight: 350,
    italic: false,
    family: { name: 'Figtree' },
  });
  expect(axesOf(`${id}@wght=350`, own).values).toEqual({ wght: 350 });
  expect(axesOf(id, own).values).toEqual({ wght: 300 });
  expect(axesOf('figtree-regular', own)).toEqual({ axes: [], values: {} });
});
