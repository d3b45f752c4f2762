import { contrastRatio, luminance, rgbOf, seenAs, WAYS_SEEN } from './index.ts';

const PAPER = '#ffffff';
const light = (color: string): number => luminance(rgbOf(color));

test('in grey a colour keeps its light and loses its colour', () => {
  for (const color of ['#5d2a53', '#f2a65a', '#2c4a2f', '#ffffff', '#000000']) {
    const grey = seenAs(color, 'grey', PAPER);
    expect(grey.slice(1, 3)).toBe(grey.slice(3, 5));
    expect(grey.slice(3, 5)).toBe(grey.slice(5, 7));
    expect(light(grey)).toBeCloseTo(light(color), 2);
  }
});

test('grey looks the same to everybody', () => {
  for (const way of ['red-blind', 'green-blind', 'blue-blind'] as const)
    for (const grey of ['#000000', '#808080', '#ffffff'])
      expect(seenAs(grey, way, PAPER)).toBe(grey);
});

test('a red and a green that only their colour tells apart are nearly one to the red- and green-blind', () => {
  const [red, green] = ['#b5432a', '#6c7d1c'];
  const apart = (way: 'green-blind' | 'blue-blind'): number => {
    const [one, other] = [red, green].map((color) => rgbOf(seenAs(color, way, PAPER)));
    if (!one || !other) return 0;
    return Math.hypot(one.r - other.r, one.g - other.g, one.b - other.b);
  };
  expect(apart('green-blind')).toBeLessThan(0.2);
  expect(apart('blue-blind')).toBeGreaterThan(2 * apart('green-blind'));
});

test('in print white is the paper, and black is lighter than on the screen', () => {
  expect(seenAs('#ffffff', 'print', '#e9d9b5')).toBe('#e9d9b5');
  const black = seenAs('#000000', 'print', PAPER);
  const contrast = contrastRatio(light(black), 1);
  // Home printers reach an optical density of about 1.2 to 1.5 in black: 1 : 16 to 1 : 32 of the paper.
  expect(contrast).toBeGreaterThan(13);
  expect(contrast).toBeLessThan(20);
});

test('every way gives a colour for every corner of the cube', () => {
  for (const way of WAYS_SEEN)
    for (const color of ['#ff0000', '#00ff00', '#0000ff', '#ffff00', '#00ffff', '#ff00ff'])
      expect(seenAs(color, way, PAPER)).toMatch(/^#[0-9a-f]{6}$/);
});
