import encodeJpeg, { init } from '@jsquash/jpeg/encode.js';
import { readFileSync } from 'node:fs';
import { decodePixels, type RgbaImage } from '../raster/index.ts';
import { block, disc, drawn, type Region } from '../testing/drawn.ts';
import { nodePlatform } from '../testing/node-platform.ts';
import { clearBackground, findBorderColor, USUAL_CLEARING } from './index.ts';

const [W, H] = [320, 260];
type Color = readonly [number, number, number];
const flower: Region = (x, y) => {
  const turn = Math.atan2(y - 150, x - 220);
  return (Math.hypot(x - 220, y - 150) - 60 - 14 * Math.sin(5 * turn)) * 0.7;
};
const ART = [
  { region: disc(95.3, 100.7, 70.4), color: [60, 120, 70] as Color },
  { region: flower, color: [200, 80, 60] as Color },
];
const truth = drawn(W, H, ART);

/** The mean difference of alpha from the truth where art meets ground, in 255ths. */
function edgeError({ data }: RgbaImage): number {
  let [sum, count] = [0, 0];
  const alpha = (at: number): number => truth.data[at * 4 + 3] as number;
  for (let y = 3; y < H - 3; y++) {
    for (let x = 3; x < W - 3; x++) {
      const at = y * W + x;
      const near = [-3, -2, -1, 0, 1, 2, 3].some((by) =>
        [at + by, at + by * W].some((other) => alpha(other) !== alpha(at)),
      );
      const mixed = alpha(at) > 0 && alpha(at) < 255;
      if (!near && !mixed) continue;
      sum += Math.abs((data[at * 4 + 3] as number) - alpha(at));
      count++;
    }
  }
  return sum / count;
}

beforeAll(async () => {
  const wasm = await WebAssembly.compile(
    readFileSync('node_modules/@jsquash/jpeg/codec/enc/mozjpeg_enc.wasm'),
  );
  await (init as (module: WebAssembly.Module) => Promise<void>)(wasm);
});

async function asJpeg(image: RgbaImage, quality: number): Promise<RgbaImage> {
  const bytes = await encodeJpeg(image as unknown as ImageData, { quality });
  return decodePixels(nodePlatform, 'jpeg', new Uint8Array(bytes));
}

const GROUNDS: readonly [string, (x: number, y: number) => Color][] = [
  ['white', () => [255, 255, 255]],
  ['grey', () => [190, 190, 186]],
  ['dark green', () => [40, 60, 50]],
  [
    'grey that falls off to a corner',
    (x, y) => {
      const light = 1 - x / 2600 - y / 2600;
      return [205 * light, 203 * light, 198 * light];
    },
  ],
];

test.each(GROUNDS)(
  'on %s the alpha at the edge is within 6/255, as JPEG within 12/255',
  async (_, ground) => {
    const image = drawn(W, H, ART, ground);
    expect(edgeError(clearBackground(image).image)).toBeLessThan(6);
    expect(edgeError(clearBackground(await asJpeg(image, 88)).image)).toBeLessThan(12);
  },
);

test('cleared from white and laid on dark green, no pixel is paler than art and paper', () => {
  const { image } = clearBackground(drawn(W, H, ART, () => [255, 255, 255]));
  const paper = [20, 60, 40];
  let palest = 0;
  for (let at = 0; at < image.data.length; at += 4) {
    const share = (image.data[at + 3] as number) / 255;
    // Of all colours used, none has more than 120 of green.
    palest = Math.max(
      palest,
      (image.data[at + 1] as number) * share + (paper[1] ?? 0) * (1 - share),
    );
  }
  expect(palest).toBeLessThan(126);
});

test('white inside the art stays unless it is taken everywhere', () => {
  const eyed = drawn(W, H, [...ART, { region: disc(95, 100, 20), color: [255, 255, 255] }], () => [
    255, 255, 255,
  ]);
  const alpha = (image: RgbaImage): number => image.data[(100 * W + 95) * 4 + 3] as number;
  expect(alpha(clearBackground(eyed).image)).toBe(255);
  expect(alpha(clearBackground(eyed, { ...USUAL_CLEARING, reach: 'everywhere' }).image)).toBe(0);
});

test('white art on a clear ground stays as it is', () => {
  const white = drawn(W, H, [{ region: disc(95, 100, 60), color: [255, 255, 255] }]);
  expect(findBorderColor(white)).toBeUndefined();
  expect(clearBackground(white).image.data).toEqual(white.data);
});

test('the picture given is not changed, and a chosen colour is what goes', () => {
  const image = drawn(W, H, ART, (x) => (x < W / 2 ? [255, 255, 255] : [240, 200, 60]));
  const before = image.data.slice();
  const { image: cleared } = clearBackground(image, { ...USUAL_CLEARING, color: '#f0c83c' });
  expect(image.data).toEqual(before);
  const alpha = (x: number, y: number): number => cleared.data[(y * W + x) * 4 + 3] as number;
  expect([alpha(W - 3, 3), alpha(3, 3)]).toEqual([0, 255]);
});

test('a soft shadow goes with its paper when that is asked for, and only then', () => {
  const shade = block(100, 120, { width: 120, height: 40, radius: 20 });
  const grey = (x: number, y: number): Color => {
    const dark = Math.max(0, Math.min(1, 0.5 - shade(x, y) / 16)) * 70;
    return [200 - dark, 200 - dark, 198 - dark];
  };
  const leaf = [{ region: disc(100, 80, 40), color: [70, 130, 60] as Color }];
  const image = drawn(W, H, leaf, grey);
  const alpha = (shadow: boolean): number =>
    clearBackground(image, { ...USUAL_CLEARING, shadow }).image.data[
      (128 * W + 100) * 4 + 3
    ] as number;
  expect(alpha(true)).toBe(0);
  expect(alpha(false)).toBe(255);
});
