import { apply, invert, nested, placed, scaling, type Affine } from '../../core/geometry/index.ts';
import {
  calibrationByRuler,
  farthest,
  findCalibration,
  findSheetCorners,
  mapFacts,
  ruledCrosses,
  type SheetCorners,
} from '../../core/register/index.ts';
import { blankImage, cropImage, type RgbaImage } from '../../core/raster/index.ts';
import { calibrationPdf } from '../../core/testprint/index.ts';
import { nodePlatform } from '../../core/testing/node-platform.ts';
import { say } from '../../messages/index.ts';
import { photograph } from './camera.ts';
import { printedPage } from './index.ts';
import { simulatedPrinter } from './printer.ts';

const A4 = { width: 210, height: 297 };
/** A printer that feeds off-centre and prints a little too long, each page alike. */
const ALWAYS: Affine = nested(placed(1.3, -0.9, 0.3), scaling(0.997, 1.003));
const STEADY = { spread: { offset: 0, turn: 0, scale: 0 }, always: ALWAYS };

const sheet = (correct?: Affine): Promise<Uint8Array> =>
  calibrationPdf(
    nodePlatform,
    {
      sheet: A4,
      name: 'Bench printer',
      sides: [{ name: 'front', ...(correct ? { correct } : {}) }],
    },
    say,
  );

async function pictureOf(pdf: Uint8Array, seed: number, dpi = 200): Promise<RgbaImage> {
  const printer = simulatedPrinter(nodePlatform, seed, { ...STEADY, dpi });
  const { picture } = await printedPage(printer, { pdf, name: 'sheet', sheet: A4 });
  return photograph(picture, seed);
}

/** How far the map that was found is from the printer's own at the corner where it is farthest, mm. */
const wrong = (map: Affine, actualTransform: Affine): number =>
  farthest(nested(invert(actualTransform), map), A4);

function seen(image: RgbaImage) {
  const found = findCalibration(image, A4);
  if (typeof found === 'string') throw new Error(found);
  return found;
}

test('a phone picture with noise, blur, a turn of 2° and perspective gives the printer’s habit; a second sheet proves it', async () => {
  const first = seen(await pictureOf(await sheet(), 1));
  expect(first).toMatchObject({ found: 14, of: 14, corrected: false });
  expect(first.residual).toBeLessThan(0.08);
  expect(wrong(first.map, ALWAYS)).toBeLessThan(0.08);

  const check = seen(await pictureOf(await sheet(first.map), 2, 150));
  expect(check.corrected).toBe(true);
  expect(check.residual).toBeLessThan(0.08);
  expect(farthest(check.map, A4)).toBeLessThan(0.1);
  expect(farthest(ALWAYS, A4)).toBeGreaterThan(1.5);
});

test('a sheet that lies upside down or on its side is read all the same, and its picture alone is refused', async () => {
  const image = await pictureOf(await sheet(), 3, 120);
  const upright = seen(image).map;
  for (const turned of [halfTurn(image), quarterTurn(image)])
    expect(wrong(seen(turned).map, upright)).toBeLessThan(0.08);
  const around = Math.round(0.09 * image.height);
  const inside = cropImage(image, {
    left: around,
    top: around,
    width: image.width - 2 * around,
    height: image.height - 2 * around,
  });
  expect(findCalibration(inside, A4)).toBe('no-edges');
  // The corners are out of the picture, and a hand can say where they would be.
  const byHand = findSheetCorners(image).map(({ x, y }) => ({ x: x - around, y: y - around }));
  const found = findCalibration(inside, A4, byHand as unknown as SheetCorners);
  expect(typeof found === 'string' ? found : wrong(found.map, upright)).toBeLessThan(0.12);
  const blank = blankImage(600, 800, [60, 60, 60, 255]);
  for (let y = 60; y < 740; y++) blank.data.fill(250, (y * 600 + 60) * 4, (y * 600 + 540) * 4);
  expect(findCalibration(blank, A4)).toBe('no-marks');
});

test('by the ruler: readings at four corners give an affine map, at three one without skew', () => {
  const reading = (at: number) => {
    const place = ruledCrosses(A4)[at];
    const { x, y } = apply(ALWAYS, place ?? { x: 0, y: 0 });
    return { side: x < 105 ? x : 210 - x, end: y < 148 ? y : 297 - y };
  };
  const all = calibrationByRuler(A4, [0, 1, 2, 3].map(reading));
  expect(all && wrong(all.map, ALWAYS)).toBeLessThan(1e-6);
  expect(all?.confidence).toBeCloseTo(1, 6);
  const three = calibrationByRuler(A4, [reading(0), undefined, reading(2), reading(3)]);
  expect(three?.found).toBe(3);
  expect(three && mapFacts(three.map, A4).skew).toBeCloseTo(0, 6);
  expect(calibrationByRuler(A4, [reading(0)])).toBeUndefined();
});

function halfTurn({ width, height, data }: RgbaImage): RgbaImage {
  const words = new Uint32Array(data.buffer.slice(0)).reverse();
  return { width, height, data: new Uint8ClampedArray(words.buffer) };
}

function quarterTurn({ width, height, data }: RgbaImage): RgbaImage {
  const from = new Uint32Array(data.buffer);
  const to = new Uint32Array(from.length);
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) to[x * height + (height - 1 - y)] = from[y * width + x] ?? 0;
  return { width: height, height: width, data: new Uint8ClampedArray(to.buffer) };
}
