import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { decodePixels, encodePngImage, type RgbaImage } from '../core/raster/index.ts';
import { composedPicture, overlapOf } from '../core/testing/composed.ts';
import { nodePlatform } from '../core/testing/node-platform.ts';
import { main } from './main.ts';

const folder = mkdtempSync(join(tmpdir(), 'peel-free-'));
const composed = composedPicture(360, 240, 4);
const [left, top, right, bottom] = composed.box;
const [photo, out] = [join(folder, 'leaf.png'), join(folder, 'free.png')];
writeFileSync(photo, encodePngImage(composed.image, 200));
const FRAME = [left - 6, top - 6, right + 6, bottom + 6].join();

async function free(...args: string[]): Promise<{ exit: number; out: string; err: string }> {
  let [said, told] = ['', ''];
  const exit = await main(['free', photo, '--out', out, ...args], {
    out: (line) => (said += line),
    err: (line) => (told += line),
  });
  return { exit, out: said, err: told };
}
const made = (): Promise<RgbaImage> =>
  decodePixels(nodePlatform, 'png', new Uint8Array(readFileSync(out)));
const alphaAt = ({ data }: RgbaImage, x: number, y: number): number =>
  data[(Math.round(y) * 360 + Math.round(x)) * 4 + 3] as number;

test('a subject is freed by its frame; corners may come in any order', async () => {
  const { exit, out: said } = await free('--frame', FRAME, '--json');
  expect(exit).toBe(0);
  const told = JSON.parse(said) as Record<string, number>;
  expect(Object.keys(told)).toEqual(['width', 'height', 'share', 'holes', 'seconds']);
  expect(told).toMatchObject({ width: 360, height: 240 });
  const image = await made();
  expect(overlapOf(composed, image)).toBeGreaterThan(0.97);
  // The share of the frame is what of it is opaque.
  const covered = composed.alpha.reduce((sum, alpha) => sum + alpha / 255, 0);
  const area = (right - left + 12) * (bottom - top + 12);
  expect(Math.abs((told.share ?? 0) - covered / area)).toBeLessThan(0.02);
  const before = readFileSync(out);
  await free('--frame', [right + 6, bottom + 6, left - 6, top - 6].join());
  expect(readFileSync(out).equals(before)).toBe(true);
});

test('strokes to keep and to drop, several of each, count in the order of the line', async () => {
  const [cx, cy] = [Math.round((left + right) / 2), Math.round((top + bottom) / 2)];
  const place = `${cx - 10},${cy},${cx + 10},${cy}`;
  const strokes = ['--keep', '20,20', '--drop', place, '--keep', '40,20,50,22', '--stroke', '8'];
  expect((await free('--frame', FRAME, ...strokes)).exit).toBe(0);
  const image = await made();
  expect([alphaAt(image, 20, 20), alphaAt(image, 45, 21), alphaAt(image, cx, cy)]).toEqual([
    255, 255, 0,
  ]);
  await free('--frame', FRAME, '--drop', place, '--keep', place, '--stroke', '8');
  expect(alphaAt(await made(), cx, cy)).toBe(255);
});

test.each<[string[], RegExp]>([
  [[], /--frame is missing/],
  [['--frame', '1,2,3'], /“1,2,3” are no places in the picture/],
  [['--frame', '1,2,x,9'], /“1,2,x,9” are no places/],
  [['--frame', '5,5,5,90'], /is no frame in the picture.*from 0,0 to 360,240/],
  [['--frame', '-90,-90,-20,-20'], /is no frame in the picture/],
  [['--frame', FRAME, '--frame', FRAME], /--frame was given twice/],
  [['--frame', FRAME, '--keep', '3'], /--keep: “3” are no places/],
  [['--frame', FRAME, '--stroke', '0'], /--stroke: “0” is not accepted/],
])('bad input %j is one clear sentence', async (args, said) => {
  const { exit, err } = await free(...args);
  expect([exit, err.split('\n').length]).toEqual([2, 1]);
  expect(err).toMatch(said);
});
