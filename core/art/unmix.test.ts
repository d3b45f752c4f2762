import fc from 'fast-check';
import { blankImage, type RgbaImage } from '../raster/index.ts';
import { nearBorder, BAND, Unmixer } from './unmix.ts';

type Rgb = readonly [number, number, number];
const SIDE = 24;
const EDGE = 12;

/** Art at the left, ground at the right, and one column where both are mixed by a known share. */
function mixed(art: Rgb, ground: Rgb, alpha: number): RgbaImage {
  const image = blankImage(SIDE, SIDE, [0, 0, 0, 255]);
  for (let y = 0; y < SIDE; y++)
    for (let x = 0; x < SIDE; x++) {
      const share = x < EDGE ? 1 : x > EDGE ? 0 : alpha;
      for (let c = 0; c < 3; c++)
        image.data[(y * SIDE + x) * 4 + c] = Math.round(
          (art[c] ?? 0) * share + (ground[c] ?? 0) * (1 - share),
        );
    }
  return image;
}

/** What the pixel in the middle of the mixed column becomes. */
function unmixed(image: RgbaImage, seed: Rgb): number[] {
  const ground = new Uint8Array(SIDE * SIDE).map((_, at) => (at % SIDE > EDGE ? 1 : 0));
  const unmixer = new Unmixer(image, { ground, near: nearBorder(ground, SIDE, BAND), seed });
  const made = image.data.slice();
  const at = (SIDE / 2) * SIDE + EDGE;
  unmixer.write(at, made);
  return [...made.subarray(at * 4, at * 4 + 4)];
}

const far = (one: Rgb, other: Rgb): number => Math.hypot(...one.map((v, c) => v - (other[c] ?? 0)));

test('half of green on white is green that lets half through', () => {
  const [r, g, b, a] = unmixed(mixed([40, 120, 60], [255, 255, 255], 0.5), [255, 255, 255]);
  expect(a).toBeGreaterThanOrEqual(122);
  expect(a).toBeLessThanOrEqual(133);
  [r, g, b].forEach((value, c) =>
    expect(Math.abs((value ?? 0) - ([40, 120, 60][c] ?? 0))).toBeLessThan(8),
  );
});

test('a known share of two colours that are apart is found again, and none of the ground stays', () => {
  const byte = fc.integer({ min: 0, max: 255 });
  const color = fc.tuple(byte, byte, byte);
  fc.assert(
    fc.property(
      color,
      color,
      fc.double({ min: 0.15, max: 0.85, noNaN: true }),
      (art, ground, share) => {
        fc.pre(far(art, ground) > 120);
        const [r = 0, g = 0, b = 0, a = 0] = unmixed(mixed(art, ground, share), ground);
        expect(Math.abs(a / 255 - share)).toBeLessThan(0.06);
        // Laid on the ground that it came from it is what it was.
        const back = [r, g, b].map(
          (value, c) => (value * a) / 255 + (ground[c] ?? 0) * (1 - a / 255),
        );
        back.forEach((value, c) => {
          const was = (art[c] ?? 0) * share + (ground[c] ?? 0) * (1 - share);
          expect(Math.abs(value - was)).toBeLessThan(6);
        });
      },
    ),
    { numRuns: 200, seed: 5 },
  );
});

test('the band of a border reaches so far to each side of it and no farther', () => {
  const kinds = new Uint8Array(SIDE * SIDE).map((_, at) => (at % SIDE >= EDGE ? 1 : 0));
  const near = nearBorder(kinds, SIDE, 2);
  const row = [...near.subarray(SIDE * 10, SIDE * 11)];
  expect(row.flatMap((one, at) => (one ? [at] : []))).toEqual([9, 10, 11, 12, 13]);
  expect(nearBorder(new Uint8Array(16), 4, 2).some(Boolean)).toBe(false);
});
