import { contrastRatio, luminance, rgbOf } from './color.ts';
import { dominantColors } from './dominant.ts';
import { colorOfHue, HARMONIES, hueOf, matchedColors, paletteFromHue } from './harmony.ts';

test('hues of pure colours are where OKLCH has them', () => {
  // Published values of OKLCH for sRGB primaries.
  expect(hueOf('#ff0000')).toBeCloseTo(29.2, 0);
  expect(hueOf('#00ff00')).toBeCloseTo(142.5, 0);
  expect(hueOf('#0000ff')).toBeCloseTo(264.1, 0);
});

test('a colour that is there comes back from its lightness, chroma and hue', () => {
  // sRGB red is L 0.628, C 0.2577, h 29.23.
  const { r, g, b } = rgbOf(colorOfHue(0.62796, 0.2576, 29.23));
  expect(r).toBeGreaterThan(0.98);
  expect(Math.max(g, b)).toBeLessThan(0.06);
  expect(colorOfHue(0, 0.2, 90)).toBe('#000000');
});

test.each(HARMONIES)('a palette of %s can be read at every hue', (harmony) => {
  for (let hue = 0; hue < 360; hue += 30) {
    const [ground = '', ink = '', accent = ''] = paletteFromHue(hue, harmony);
    const ratio = (one: string, other: string): number =>
      contrastRatio(luminance(rgbOf(one)), luminance(rgbOf(other)));
    expect(ratio(ground, ink)).toBeGreaterThan(9);
    expect(ratio(ground, accent)).toBeGreaterThan(3);
  }
});

test('colours are matched by how light they are', () => {
  const matched = matchedColors(
    ['#222222', '#ffffff', '#888888'],
    ['#eeeeff', '#5566aa', '#001133'],
  );
  expect([matched.get('#222222'), matched.get('#888888'), matched.get('#ffffff')]).toEqual([
    '#001133',
    '#5566aa',
    '#eeeeff',
  ]);
  expect(matchedColors(['#123456'], ['#001133', '#eeeeff']).size).toBe(1);
});

test('the colours that cover most come first, shades of one together, what is clear not at all', () => {
  const data: number[] = [];
  const fill = (count: number, [r, g, b, a]: readonly [number, number, number, number]): void => {
    for (let at = 0; at < count; at++) data.push(r + (at % 3), g, b, a);
  };
  fill(500, [120, 40, 90, 255]);
  fill(300, [240, 230, 210, 255]);
  fill(100, [50, 120, 70, 255]);
  fill(900, [10, 200, 250, 0]);
  const found = dominantColors({ data }, 5);
  expect(found).toHaveLength(3);
  const [first = ''] = found;
  expect(Math.round(rgbOf(first).r * 255)).toBe(121);
  expect(dominantColors({ data }, 2)).toHaveLength(2);
  expect(dominantColors({ data: [] }, 3)).toEqual([]);
});
