import { converter, type Color, type Mode } from 'culori';
import {
  parseIccProfile,
  P3_PRIMARIES,
  primariesMatrix,
  SRGB_PRIMARIES,
  srgbConverter,
  srgbCurve,
  type ColorProfile,
} from './index.ts';

const toRgb = converter('rgb');

/** A profile of version 4 (ICC.1:2022) with these tags. */
function icc(tags: Readonly<Record<string, Uint8Array>>, space = 'RGB ', pcs = 'XYZ '): Uint8Array {
  const entries = Object.entries(tags);
  const head = 132 + 12 * entries.length;
  const bytes = new Uint8Array(head + entries.reduce((sum, [, tag]) => sum + tag.length, 0));
  const view = new DataView(bytes.buffer);
  const put = (at: number, text: string): void =>
    [...text].forEach((letter, step) => view.setUint8(at + step, letter.charCodeAt(0)));
  put(16, space);
  put(20, pcs);
  put(36, 'acsp');
  view.setUint32(128, entries.length);
  let from = head;
  entries.forEach(([name, tag], at) => {
    put(132 + at * 12, name);
    view.setUint32(136 + at * 12, from);
    view.setUint32(140 + at * 12, tag.length);
    bytes.set(tag, from);
    from += tag.length;
  });
  return bytes;
}

function tag(kind: string, head: readonly number[], fixed: readonly number[]): Uint8Array {
  const bytes = new Uint8Array(8 + head.length + fixed.length * 4);
  const view = new DataView(bytes.buffer);
  [...kind].forEach((letter, at) => view.setUint8(at, letter.charCodeAt(0)));
  head.forEach((value, at) => view.setUint8(8 + at, value));
  fixed.forEach((value, at) => view.setInt32(8 + head.length + at * 4, Math.round(value * 65536)));
  return bytes;
}
const xyz = (...values: readonly [number, number, number]): Uint8Array => tag('XYZ ', [], values);
const gamma = (value: number): Uint8Array =>
  tag('curv', [0, 0, 0, 1, Math.floor(value), Math.round((value % 1) * 256)], []);

const colored = (
  red: Uint8Array,
  green: Uint8Array,
  blue: Uint8Array,
  curve: Uint8Array,
): Uint8Array => icc({ rXYZ: red, gXYZ: green, bXYZ: blue, rTRC: curve, gTRC: curve, bTRC: curve });

// Colorants as their makers publish them, adapted to D50.
const ADOBE = colored(
  xyz(0.60974, 0.31111, 0.01947),
  xyz(0.20528, 0.62567, 0.06087),
  xyz(0.14919, 0.06322, 0.74457),
  gamma(2.19921875),
);
const PROPHOTO = colored(
  xyz(0.79767, 0.28804, 0),
  xyz(0.13519, 0.71188, 0),
  xyz(0.03134, 0.00009, 0.82491),
  tag('para', [0, 3, 0, 0], [1.8, 1, 0, 1 / 16, 1 / 32]),
);

const COLORS = [
  [40, 120, 60],
  [200, 180, 90],
  [128, 128, 128],
  [90, 60, 140],
  [230, 225, 210],
  [20, 24, 30],
  [255, 255, 255],
  [0, 0, 0],
] as const;

function converted(profile: ColorProfile | undefined, color: readonly number[]): number[] {
  const pixels = Uint8ClampedArray.from([...color, 77]);
  if (!profile) throw new Error('no profile');
  srgbConverter(profile)?.(pixels);
  return [...pixels];
}

test('the colorants of sRGB are those that are published, adapted to D50', () => {
  const matrix = primariesMatrix(SRGB_PRIMARIES);
  const wanted = [
    [0.4360747, 0.3850649, 0.1430804],
    [0.2225045, 0.7168786, 0.0606169],
    [0.0139322, 0.0971045, 0.7141733],
  ];
  wanted.forEach((row, y) =>
    row.forEach((value, x) => expect(matrix?.[y]?.[x]).toBeCloseTo(value, 3)),
  );
});

const P3: ColorProfile = {
  curves: [srgbCurve, srgbCurve, srgbCurve],
  matrix: primariesMatrix(P3_PRIMARIES) ?? [
    [0, 0, 0],
    [0, 0, 0],
    [0, 0, 0],
  ],
};
test.each<[string, Mode, ColorProfile | undefined]>([
  ['P3', 'p3', P3],
  ['Adobe RGB', 'a98', parseIccProfile(ADOBE)],
  ['ProPhoto', 'prophoto', parseIccProfile(PROPHOTO)],
])('colours of %s become the sRGB that another library gives', (_, mode, profile) => {
  for (const color of COLORS) {
    const [r, g, b] = color.map((value) => value / 255);
    const wanted = toRgb({ mode, r, g, b } as Color);
    const made = converted(profile, color);
    [wanted.r, wanted.g, wanted.b].forEach((value, at) =>
      expect(Math.abs((made[at] ?? 0) - 255 * Math.min(1, Math.max(0, value)))).toBeLessThan(2),
    );
    // What is opaque stays as it is.
    expect(made[3]).toBe(77);
  }
});

test('a profile that is sRGB changes nothing', () => {
  const curve = tag('para', [0, 3, 0, 0], [2.4, 1 / 1.055, 0.055 / 1.055, 1 / 12.92, 0.04045]);
  const profile = parseIccProfile(
    colored(
      xyz(0.43607, 0.22249, 0.01392),
      xyz(0.38515, 0.71687, 0.09708),
      xyz(0.14307, 0.06061, 0.7141),
      curve,
    ),
  );
  expect(profile).toBeDefined();
  expect(profile && srgbConverter(profile)).toBeUndefined();
});

test('tables, formulas and plain exponents give the curves that they say', () => {
  const curveOf = (curve: Uint8Array): ((value: number) => number) | undefined => {
    const found = parseIccProfile(colored(xyz(1, 0, 0), xyz(0, 1, 0), xyz(0, 0, 1), curve));
    return found && 'curves' in found ? found.curves[0] : undefined;
  };
  expect(curveOf(tag('curv', [0, 0, 0, 0], []))?.(0.3)).toBe(0.3);
  expect(curveOf(gamma(2))?.(0.5)).toBeCloseTo(0.25, 6);
  const table = curveOf(tag('curv', [0, 0, 0, 3, 0, 0, 0x40, 0, 0xff, 0xff], []));
  expect(table?.(0.25)).toBeCloseTo(0.125, 3);
  expect(table?.(1)).toBe(1);
  expect(curveOf(tag('para', [0, 0, 0, 0], [3]))?.(0.5)).toBeCloseTo(0.125, 6);
  const cut = curveOf(tag('para', [0, 2, 0, 0], [2, 1, -0.5, 0.1]));
  expect([cut?.(0.25), cut?.(1)].map((value) => Number(value?.toFixed(3)))).toEqual([0.1, 0.35]);
});

test('grey keeps its hue', () => {
  const profile = parseIccProfile(icc({ kTRC: gamma(1) }, 'GRAY'));
  const [r, g, b] = converted(profile, [55, 55, 55]);
  // A light of 0.2157 is 128.2 of 255 in sRGB.
  expect([r, g, b]).toEqual([128, 128, 128]);
});

test('tables of colours, other files and torn ones are no profile of this kind', () => {
  expect(parseIccProfile(icc({ A2B0: new Uint8Array(40) }, 'CMYK', 'Lab '))).toBeUndefined();
  expect(parseIccProfile(icc({ A2B0: new Uint8Array(40) }))).toBeUndefined();
  expect(parseIccProfile(ADOBE.slice(0, 300))).toBeUndefined();
  expect(parseIccProfile(new Uint8Array(10))).toBeUndefined();
});
