import { signedArea } from '../geometry/index.ts';
import { contours, groupRuns, runsOf, withoutSpecks } from './index.ts';

/** A mask from rows of text: `#` is covered. */
function mask(...rows: string[]) {
  const width = rows[0]?.length ?? 0;
  const data = Uint8Array.from(rows.join(''), (letter) => (letter === '#' ? 255 : 0));
  return { width, height: rows.length, data };
}
const grouped = (picture: ReturnType<typeof mask>, gap = 0): number[][] =>
  groupRuns(runsOf({ ...picture, stride: 1, offset: 0 }, 127), picture.height, gap).map(
    ({ left, top, right, bottom, area }) => [left, top, right, bottom, area],
  );

test('outlines run clockwise, holes the other way, at half the way between pixels', () => {
  const rings = contours(mask('####', '#..#', '####'));
  expect(rings).toHaveLength(2);
  const [outer = [], hole = []] = rings.sort((one, other) => signedArea(other) - signedArea(one));
  // Each side goes half a pixel out from the pixels' middles, each corner is cut by a triangle.
  expect(signedArea(outer)).toBeCloseTo(4 * 3 - 4 * 0.125, 6);
  expect(signedArea(hole)).toBeLessThan(0);
  expect(withoutSpecks(rings, 3)).toHaveLength(1);
});

test('a side that covers a quarter of its pixels lies where they are a quarter covered', () => {
  const data = new Uint8Array(30).map((_, at) => (at % 5 === 0 ? 255 : at % 5 === 1 ? 64 : 0));
  const [ring = []] = contours({ width: 5, height: 6, data });
  const right = Math.max(...ring.map(({ x }) => x));
  expect(right).toBeCloseTo(0.5 + (255 - 127.5) / (255 - 64), 6);
});

test('pixels that meet at a corner are one patch to runs', () => {
  expect(grouped(mask('#..', '.#.', '..#'))).toEqual([[0, 0, 3, 3, 3]]);
  expect(grouped(mask('#.#', '...', '#.#'))).toHaveLength(4);
});

test('patches closer than the gap are one, by the straight distance between them', () => {
  const apart = mask('#....', '.....', '.....', '....#'); // 3 across and 2 down: 3.6 pixels
  expect(grouped(apart, 3.5)).toHaveLength(2);
  expect(grouped(apart, 3.7)).toEqual([[0, 0, 5, 4, 2]]);
  expect(grouped(mask('#..#'), 2)).toHaveLength(1);
  expect(grouped(mask('#...#'), 2)).toHaveLength(2);
});
