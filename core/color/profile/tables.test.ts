import { converter } from 'culori';
import { parseIccProfile, srgbConverter, srgbOfInks, type TableProfile } from './index.ts';

const toRgb = converter('rgb');
const put16 = (values: readonly number[]): number[] =>
  values.flatMap((one) => [one >> 8, one & 255]);
const put32 = (value: number): number[] => put16([value >>> 16, value & 0xffff]);
const letters = (text: string): number[] => [...text].map((one) => one.charCodeAt(0));

/** A table of two nodes a channel with straight curves (ICC.1:2022, 10.10). */
function table(inputs: number, lightness: (channels: readonly number[]) => number): number[] {
  const nodes = Array.from({ length: 2 ** inputs }, (_, node) =>
    Array.from({ length: inputs }, (_, input) => (node >> (inputs - 1 - input)) & 1),
  );
  const straight = put16([0, 0xffff]);
  return [
    ...letters('mft2'),
    ...put32(0),
    ...[inputs, 3, 2, 0],
    ...Array.from({ length: 9 }, (_, at) => put32(at % 4 ? 0 : 65536)).flat(),
    ...put16([2, 2]),
    ...Array.from({ length: inputs }, () => straight).flat(),
    // White is FF00 here, and what is neutral 8000.
    ...nodes.flatMap((node) => put16([Math.round(lightness(node) * 652.8), 0x8000, 0x8000])),
    ...Array.from({ length: 3 }, () => straight).flat(),
  ];
}

function profile(space: string, tag: readonly number[]): Uint8Array {
  const head = new Array<number>(128).fill(0);
  letters(space).forEach((one, at) => (head[16 + at] = one));
  letters('Lab ').forEach((one, at) => (head[20 + at] = one));
  letters('acsp').forEach((one, at) => (head[36 + at] = one));
  return Uint8Array.from([
    ...head,
    ...put32(1),
    ...letters('A2B0'),
    ...put32(144),
    ...put32(tag.length),
    ...tag,
  ]);
}

const sum = (channels: readonly number[]): number => channels.reduce((all, one) => all + one, 0);
const greyOf = (l: number): number => 255 * (toRgb({ mode: 'lab', l, a: 0, b: 0 })?.r ?? 0);
const read = (bytes: Uint8Array): TableProfile => {
  const found = parseIccProfile(bytes);
  if (!found || !('table' in found)) throw new Error('no table');
  return found;
};

test('inks become the light that their table says', () => {
  // Each ink takes a quarter of the lightness: all together are black.
  const inks = read(
    profile(
      'CMYK',
      table(4, (all) => 100 - 25 * sum(all)),
    ),
  );
  const made = srgbOfInks(
    Uint8Array.from([0, 0, 0, 0, 255, 0, 0, 0, 255, 255, 0, 0, 255, 255, 255, 255]),
    {
      ...inks,
      black: [0, 0, 0],
    },
  );
  [100, 75, 50, 0].forEach((l, at) => {
    const grey = greyOf(l);
    for (const c of [0, 1, 2]) expect(Math.abs((made[at * 4 + c] ?? 0) - grey)).toBeLessThan(1.2);
    expect(made[at * 4 + 3]).toBe(255);
  });
});

test('the darkest that a profile prints is made black, and white stays white', () => {
  // Black alone, where no table leads back, comes to a lightness of 20.
  const inks = read(
    profile(
      'CMYK',
      table(4, (all) => 100 - 80 * (all[3] ?? 0)),
    ),
  );
  expect(inks.black[1]).toBeCloseTo(((20 + 16) / 116) ** 3, 4);
  const made = srgbOfInks(Uint8Array.from([0, 0, 0, 255, 0, 0, 0, 0]), inks);
  expect([...made]).toEqual([0, 0, 0, 255, 255, 255, 255, 255]);
});

test('without a profile each ink and black leave their part of the light', () => {
  const made = srgbOfInks(Uint8Array.from([255, 0, 0, 0, 0, 128, 0, 128]), undefined);
  expect([...made]).toEqual([0, 255, 255, 255, 127, 63, 127, 255]);
});

test('light by a table, as scanners have it', () => {
  const scanner = read(
    profile(
      'RGB ',
      table(3, (all) => (100 * sum(all)) / 3),
    ),
  );
  const pixels = Uint8ClampedArray.from([255, 255, 255, 9, 255, 0, 0, 255]);
  srgbConverter(scanner)?.(pixels);
  expect([...pixels.slice(0, 4)]).toEqual([255, 255, 255, 9]);
  expect(Math.abs((pixels[4] ?? 0) - greyOf(100 / 3))).toBeLessThan(1.2);
});

/** A table of light in stages (ICC.1:2022, 10.12): its last output is what the matrix makes the lightness. */
function staged(grid = [2, 2, 2]): number[] {
  const straight = [...letters('curv'), ...put32(0), ...put32(0)];
  const squared = [...letters('para'), ...put32(0), ...put32(0), ...put32(2 * 65536)];
  const nodes = Array.from({ length: 8 }, (_, node) => [
    (node >> 2) & 1,
    (node >> 1) & 1,
    node & 1,
  ]);
  const neutral = 0x8080; // in this kind of table
  const parts = {
    after: [...squared, ...straight, ...straight],
    matrix: [0, 0, 1, 0, 1, 0, 1, 0, 0, 0, 0, 0].flatMap((one) => put32(one * 65536)),
    middle: [straight, straight, straight].flat(),
    table: [
      ...[...grid, ...new Array<number>(13).fill(0)],
      ...[2, 0, 0, 0],
      ...nodes.flatMap((node) => put16([neutral, neutral, Math.round((sum(node) / 3) * 65535)])),
    ],
    before: [straight, straight, straight].flat(),
  };
  let at = 32;
  const places = Object.values(parts).map((part) => (at += part.length) - part.length);
  return [
    ...[...letters('mAB '), ...put32(0), 3, 3, 0, 0],
    ...places.flatMap(put32),
    ...Object.values(parts).flat(),
  ];
}

test('light by a table with curves and a matrix behind it, as profiles of version 4 have it', () => {
  const screen = read(profile('RGB ', staged()));
  const pixels = Uint8ClampedArray.from([255, 255, 255, 9, 255, 255, 0, 255]);
  srgbConverter(screen)?.(pixels);
  expect([...pixels.slice(0, 4)]).toEqual([255, 255, 255, 9]);
  for (const c of [4, 5, 6])
    expect(Math.abs((pixels[c] ?? 0) - greyOf(100 * (2 / 3) ** 2))).toBeLessThan(1.2);
  expect(parseIccProfile(profile('RGB ', staged([2, 3, 2])))).toBeUndefined();
  expect(parseIccProfile(profile('RGB ', staged().slice(0, 200)))).toBeUndefined();
});

test('tables that are cut off, too large or of another kind are none', () => {
  const good = table(4, () => 50);
  expect(parseIccProfile(profile('CMYK', good).slice(0, 300))).toBeUndefined();
  expect(parseIccProfile(profile('CMYK', good.with(10, 255)))).toBeUndefined();
  expect(parseIccProfile(profile('CMYK', [...letters('mAB '), ...good.slice(4)]))).toBeUndefined();
  expect(parseIccProfile(profile('RGB ', good))).toBeUndefined();
});
