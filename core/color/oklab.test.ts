import { oklabDistance, oklabOfBytes, oklabReader } from './index.ts';

test.each([
  ['white', [255, 255, 255], [1, 0, 0]],
  ['black', [0, 0, 0], [0, 0, 0]],
  ['red', [255, 0, 0], [0.628, 0.2249, 0.1258]],
  ['green', [0, 255, 0], [0.8664, -0.2339, 0.1795]],
  ['blue', [0, 0, 255], [0.452, -0.0325, -0.3115]],
] as const)('%s has its published OKLab value', (_, [r, g, b], [l, a, bb]) => {
  const found = oklabOfBytes(r, g, b);
  expect(found.l).toBeCloseTo(l, 3);
  expect(found.a).toBeCloseTo(a, 3);
  expect(found.b).toBeCloseTo(bb, 3);
});

test('the distance of black and white is one, and a reader gives the same colours again', () => {
  const read = oklabReader();
  expect(oklabDistance(read(0, 0, 0), read(255, 255, 255))).toBeCloseTo(1, 6);
  for (let at = 0; at < 3000; at++) {
    const [r, g, b] = [(at * 37) % 256, (at * 91) % 256, (at * 13) % 256];
    expect(read(r, g, b)).toEqual(oklabOfBytes(r, g, b));
  }
});
