import { decode as decodePng, encode } from 'fast-png';
import { IDENTITY, translation } from '../geometry/index.ts';
import {
  boxBlur,
  blankImage,
  components,
  cropImage,
  darkness,
  shrunkImage,
  decodePixels,
  dilateMask,
  encodePngImage,
  warpImage,
} from './index.ts';

const none = (): Promise<never> => Promise.reject(new Error('none wanted'));
const noAssets = { asset: none, module: none };

test('a dilated dot is a disc of all pixels within the radius, by hand count', () => {
  const mask = new Uint8Array(11 * 9);
  mask[4 * 11 + 5] = 1;
  const grown = dilateMask(mask, 11, 2.5);
  for (let y = 0; y < 9; y++) {
    for (let x = 0; x < 11; x++) {
      expect(grown[y * 11 + x]).toBe(Math.hypot(x - 5, y - 4) <= 2.5 ? 1 : 0);
    }
  }
});

test('patches are counted, measured and do not wrap round the sides', () => {
  const weights = [0, 9, 9, 0, 9, 9, 0, 0, 0, 9, 0, 3, 0, 0, 9];
  const found = components(weights, 5, 2);
  expect(found.map((patch) => patch.area)).toEqual([2, 3, 1, 1]);
  expect(found[0]).toMatchObject({ x: 2, y: 0.5, left: 1, right: 3 });
});

test('a sixteen-bit grey PNG becomes straight RGBA', async () => {
  const grey = encode({
    width: 2,
    height: 1,
    data: Uint16Array.of(0, 0xffff),
    depth: 16,
    channels: 1,
  });
  const read = await decodePixels(noAssets, 'png', grey);
  expect([...read.data]).toEqual([0, 0, 0, 255, 255, 255, 255, 255]);
});

test('a PNG keeps its pixels and says its resolution', () => {
  const image = blankImage(3, 2, [10, 20, 30, 128]);
  const read = decodePng(encodePngImage(image, 300), { checkCrc: true });
  expect([...read.data]).toEqual([...image.data]);
  expect(read.resolution).toEqual({ x: 11811, y: 11811, unit: 1 });
});

test('an image drawn anew without a change is the same, and moves by whole pixels', () => {
  const image = blankImage(6, 6);
  for (let at = 0; at < image.data.length; at++) image.data[at] = (at * 37) % 256;
  const same = warpImage(image, IDENTITY, { width: 5, height: 5 });
  expect([...same.data.subarray(0, 20)]).toEqual([...image.data.subarray(0, 20)]);
  const moved = warpImage(image, translation(1, 0), { width: 4, height: 4 });
  expect([...moved.data.subarray(0, 4)]).toEqual([...image.data.subarray(4, 8)]);
});

test('a crop reaches beyond the picture as clear pixels', () => {
  const part = cropImage(blankImage(2, 2, [1, 2, 3, 255]), {
    left: -1,
    top: 0,
    width: 3,
    height: 3,
  });
  expect(part.data[3]).toBe(0);
  expect(part.data[7]).toBe(255);
  expect(part.data[8 * 4 + 3]).toBe(0);
});

test('a smaller image has the mean of its pixels, weighted by their cover', () => {
  const image = blankImage(4, 2);
  image.data.set([200, 0, 0, 255], 0); // one of four is red, the others clear
  image.data.set([0, 100, 0, 255], 8);
  image.data.set([0, 100, 200, 255], 12);
  image.data.set([0, 100, 0, 255], 24);
  image.data.set([0, 100, 200, 255], 28);
  const small = shrunkImage(image, 2);
  expect([small.width, small.height]).toEqual([2, 1]);
  expect([...small.data]).toEqual([200, 0, 0, 64, 0, 100, 100, 255]);
});

test('darkness counts ink on white paper', () => {
  const image = {
    width: 3,
    height: 1,
    data: Uint8ClampedArray.of(0, 0, 0, 255, 255, 255, 255, 255, 0, 0, 0, 0),
  };
  expect([...darkness(image)]).toEqual([255, 0, 0]);
});

test('a blurred pixel is the mean of what lies about it, at the sides of what there is', () => {
  const [width, height] = [7, 5];
  const data = Float32Array.from({ length: width * height }, (_, at) => (at * 37) % 101);
  const radius = 2;
  const blurred = boxBlur({ width, height, data }, radius);
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) {
      let [sum, count] = [0, 0];
      for (let v = Math.max(0, y - radius); v <= Math.min(height - 1, y + radius); v++)
        for (let u = Math.max(0, x - radius); u <= Math.min(width - 1, x + radius); u++) {
          sum += data[v * width + u] ?? 0;
          count++;
        }
      expect(blurred.data[y * width + x]).toBeCloseTo(sum / count, 3);
    }
});
