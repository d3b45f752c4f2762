import { nestSheets, type Nested } from '../index.ts';
import { circleRows } from '../circle-rows.ts';

const room = (taken: { left: number; top: number; right: number; bottom: number }[] = []) => ({
  area: { left: 5, top: 5, right: 205, bottom: 292 },
  taken,
  gap: 1,
});
const circles = (diameter: number, wanted: number) => [
  { ring: [], area: (Math.PI * diameter ** 2) / 4, diameter, wanted, most: false, angles: [0] },
];
/** The least distance between middles, and from a middle to a side of the room. */
function clearances([sheet]: readonly Nested[]): { apart: number; side: number } {
  const places = sheet?.places ?? [];
  const pairs = places.flatMap((one, at) =>
    places.slice(at + 1).map((other) => Math.hypot(one.x - other.x, one.y - other.y)),
  );
  const sides = places.flatMap(({ x, y }) => [x - 5, 205 - x, y - 5, 292 - y]);
  return { apart: Math.min(...pairs), side: Math.min(...sides) };
}

test('more circles are found than rows hold, and they keep the gap and the sheet', async () => {
  const sheets = await nestSheets(circles(52, 99), room(), { most: 1, rounds: 60, seed: 1 });
  expect(circleRows(52, room())).toHaveLength(18);
  expect(sheets[0]?.places).toHaveLength(20);
  const { apart, side } = clearances(sheets);
  expect(apart).toBeGreaterThan(53 - 1e-3);
  expect(side).toBeGreaterThan(26 - 1e-3);
});

test('what is kept clear stays clear, and the same luck gives the same sheet', async () => {
  const corner = { left: 0, top: 0, right: 40, bottom: 60 };
  const nest = () => nestSheets(circles(40, 99), room([corner]), { most: 1, rounds: 30, seed: 7 });
  const sheets = await nest();
  for (const { x, y } of sheets[0]?.places ?? [])
    expect(Math.hypot(Math.max(0, x - 40), Math.max(0, y - 60))).toBeGreaterThan(20 - 1e-3);
  expect(await nest()).toEqual(sheets);
});

test('no more than are wanted are laid, over as many sheets as they need', async () => {
  const sheets = await nestSheets(circles(60, 20), room(), { most: 5, rounds: 3, seed: 1 });
  expect(sheets.map(({ places }) => places.length).reduce((sum, count) => sum + count, 0)).toBe(20);
  expect(sheets.length).toBe(2);
});
