import { apply, compose, invert, placed, scaling, type Affine } from '../geometry/index.ts';
import { seededRandom } from '../base/index.ts';
import { blankImage, type RgbaImage } from '../raster/index.ts';
import { findMarks, type MarkPlace } from './index.ts';

const MARKS: MarkPlace[] = [
  { x: 12, y: 12, size: 5, style: 'ring' },
  { x: 198, y: 12, size: 5, style: 'dot' },
  { x: 198, y: 285, size: 5, style: 'dot' },
  { x: 12, y: 285, size: 5, style: 'dot' },
];
const DPI = 150;

const { floor, hypot, round } = Math;

/** Draws analytic dots, anti-aliased by 4 x 4 samples, as a sheet under `map` would show them. */
function picture(map: Affine, marks: readonly MarkPlace[], noise = 0): RgbaImage {
  const perMm = DPI / 25.4;
  const image = blankImage(round(210 * perMm), round(297 * perMm), [245, 245, 242, 255]);
  const back = invert(map);
  const random = seededRandom(3);
  for (const mark of marks) {
    const middle = apply(map, mark);
    for (let y = floor((middle.y - 8) * perMm); y < (middle.y + 8) * perMm; y++) {
      for (let x = floor((middle.x - 8) * perMm); x < (middle.x + 8) * perMm; x++) {
        const value = 245 - inkAt(back, mark, x, y) * 220 + noise * random.normal();
        image.data.fill(value, (y * image.width + x) * 4, (y * image.width + x) * 4 + 3);
      }
    }
  }
  return image;
}

function inkAt(back: Affine, mark: MarkPlace, x: number, y: number): number {
  let ink = 0;
  for (let s = 0; s < 16; s++) {
    const at = apply(back, {
      x: ((x + (s % 4) / 4 + 0.125) * 25.4) / DPI,
      y: ((y + floor(s / 4) / 4 + 0.125) * 25.4) / DPI,
    });
    const r = hypot(at.x - mark.x, at.y - mark.y) / mark.size;
    if (r < 0.5 || (mark.style === 'ring' && r > 0.7 && r < 0.85)) ink += 1 / 16;
  }
  return ink;
}

const LIES = compose(placed(1.8, -1.1, 0.9), scaling(1.004));

test('a turned, scaled and noisy sheet is found to a few hundredths of a millimetre', () => {
  const found = findMarks({ image: picture(LIES, MARKS, 6), dpi: DPI }, MARKS);
  expect(found.found.every(Boolean)).toBe(true);
  expect(found.residual).toBeLessThan(0.03);
  expect(found.confidence).toBeGreaterThan(0.85);
  for (const corner of [
    { x: 0, y: 0 },
    { x: 210, y: 297 },
  ]) {
    const truth = apply(LIES, corner);
    const said = apply(found.map ?? [0, 0, 0, 0, 0, 0], corner);
    expect(Math.hypot(truth.x - said.x, truth.y - said.y)).toBeLessThan(0.05);
  }
});

test('a missed mark lowers the confidence and leaves a similarity', () => {
  const found = findMarks({ image: picture(LIES, MARKS.slice(0, 3)), dpi: DPI }, MARKS);
  expect(found.found[3]).toBeUndefined();
  expect(found.confidence).toBeLessThan(0.76);
  const [a, b, c, d] = found.map ?? [0, 0, 0, 0];
  expect([c, d]).toEqual([-b, a]);
});

test('a sheet laid the other way round is noticed', () => {
  const round = MARKS.map((mark) => ({ ...mark, x: 210 - mark.x, y: 297 - mark.y }));
  expect(findMarks({ image: picture(LIES, round), dpi: DPI }, MARKS).turned).toBe(true);
});

test('an empty sheet gives no map and no confidence', () => {
  const found = findMarks({ image: picture(LIES, [], 6), dpi: DPI }, MARKS);
  expect(found.map).toBeUndefined();
  expect(found.confidence).toBe(0);
});
