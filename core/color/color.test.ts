import { contrastRatio, findRgb, luminance, luminanceOfBytes, rgbOf, toHex } from './index.ts';

test('colours are read in short and long form and written back', () => {
  expect(findRgb('#f80')).toEqual({ r: 1, g: 136 / 255, b: 0 });
  expect(toHex(rgbOf('#5d2a53'))).toBe('#5d2a53');
  expect(findRgb('plum')).toBeUndefined();
});

test('contrast agrees with published pairs', () => {
  const ratio = (one: string, other: string): number =>
    contrastRatio(luminance(rgbOf(one)), luminance(rgbOf(other)));
  expect(ratio('#000000', '#ffffff')).toBeCloseTo(21, 6);
  expect(ratio('#777777', '#ffffff')).toBeCloseTo(4.48, 2);
  expect(ratio('#ff0000', '#ffffff')).toBeCloseTo(4.0, 2);
});

test('bytes and shares give the same luminance', () => {
  expect(luminanceOfBytes(93, 42, 83)).toBeCloseTo(luminance(rgbOf('#5d2a53')), 12);
});
