import fc from 'fast-check';
import { watchedTask } from '../../base/index.ts';
import { mapRing, placed, signedArea, type Ring } from '../../geometry/index.ts';
import {
  findLayoutViolations,
  nestSheets,
  tryPack,
  type Nested,
  type NestRoom,
  type NestWish,
} from '../index.ts';

const ring = (...points: readonly (readonly [number, number])[]): Ring =>
  points.map(([x, y]) => ({ x, y }));
const wish = (outline: Ring, wanted: number, angles: readonly number[] = [0]): NestWish => ({
  ring: outline,
  angles,
  area: Math.abs(signedArea(outline)),
  wanted,
  most: false,
});
const room = (width: number, height: number, gap = 0): NestRoom => ({
  area: { left: 5, top: 5, right: 5 + width, bottom: 5 + height },
  taken: [],
  gap,
});
const outlines = (wishes: readonly NestWish[], { places }: Nested): Ring[] =>
  places.map(({ kind, x, y, angle }) => mapRing(wishes[kind]?.ring ?? [], placed(x, y, angle)));
const BRACKET = ring([0, 0], [40, 0], [40, 14], [14, 14], [14, 40], [0, 40]);
const WEDGE = ring([0, 0], [60, 0], [0, 60]);
const STAR = Array.from({ length: 10 }, (_, at) => {
  const far = at % 2 ? 8 : 18;
  return { x: far * Math.cos((Math.PI * at) / 5), y: far * Math.sin((Math.PI * at) / 5) };
});

test('two wedges share the square that one of them would waste half of', async () => {
  const wishes = [wish(WEDGE, 2, [0, 180])];
  const [sheet] = await nestSheets(wishes, room(61.5, 61.5), { most: 1, rounds: 20, seed: 1 });
  expect(sheet?.places).toHaveLength(2);
  expect(sheet?.all).toBe(true);
  const upright = [wish(WEDGE, 2)];
  const [alone] = await nestSheets(upright, room(61.5, 61.5), { most: 1, rounds: 5, seed: 1 });
  expect(alone?.places).toHaveLength(1);
});

test('whatever is nested keeps the gap, the sheet and what is to be kept clear, by exact distances', async () => {
  await fc.assert(
    fc.asyncProperty(
      fc.integer({ min: 1, max: 1000 }),
      fc.double({ min: 0, max: 4, noNaN: true }),
      async (seed, gap) => {
        const wishes = [
          wish(BRACKET, 4, [0, 90, 180, 270]),
          wish(STAR, 8, [0, 30, 60, 12.5]),
          wish(WEDGE, 3, [0, 45, 180]),
        ];
        const taken = [{ left: 0, top: 0, right: 20, bottom: 20 }];
        const sheet = { ...room(150, 110, gap), taken };
        const [found] = await nestSheets(wishes, sheet, { most: 1, rounds: 2, seed });
        if (!found) throw new Error('nothing was placed');
        expect(findLayoutViolations(outlines(wishes, found), sheet)).toEqual({
          outside: [],
          onTaken: [],
          near: [],
        });
      },
    ),
    { numRuns: 6, seed: 3 },
  );
});

test('the same seed and rounds give the same answer; more rounds never a worse one', async () => {
  const wishes = [wish(BRACKET, 12, [0, 180]), wish(STAR, 12, [0, 36])];
  const heard: number[] = [];
  const nest = (rounds: number): Promise<Nested[]> =>
    nestSheets(wishes, room(120, 100, 1), { most: 1, rounds, seed: 5 });
  const [few] = await nest(3);
  expect((await nest(3))[0]).toEqual(few);
  const [many] = await nestSheets(wishes, room(120, 100, 1), {
    most: 1,
    rounds: 12,
    seed: 5,
    better: ([sheet]) => heard.push(sheet?.area ?? 0),
  });
  expect(many?.area).toBeGreaterThanOrEqual(few?.area ?? Infinity);
  expect(heard).toEqual([...heard].sort((one, other) => one - other));
  // What stands there is where it begins.
  const again = await nestSheets(wishes, room(120, 100, 1), {
    most: 1,
    rounds: 0,
    seed: 9,
    start: [many?.places ?? []],
  });
  expect(again[0]?.area).toBeGreaterThanOrEqual(many?.area ?? Infinity);
});

test('the first answer is told in parts, each with more than the one before', async () => {
  const wishes = [wish(BRACKET, 10, [0, 90]), wish(STAR, 40, [0, 36])];
  const heard: Nested[] = [];
  const [found] = await nestSheets(wishes, room(180, 200, 1), {
    most: 1,
    rounds: 0,
    seed: 2,
    better: ([sheet]) => sheet && heard.push(sheet),
  });
  expect(heard.length).toBeGreaterThan(2);
  expect(heard[0]?.places.length).toBeLessThan(15);
  expect(heard.at(-1)).toEqual(found);
  for (const [at, { area, places }] of heard.slice(1).entries()) {
    expect(area).toBeGreaterThanOrEqual(heard[at]?.area ?? Infinity);
    expect(places.length).toBeGreaterThanOrEqual(heard[at]?.places.length ?? Infinity);
  }
});

test('sheets are filled until everything is placed, alike ones the same', async () => {
  const square = ring([0, 0], [48, 0], [48, 48], [0, 48]);
  const sheets = await nestSheets([wish(square, 10)], room(100, 100, 1), {
    most: 50,
    rounds: 2,
    seed: 1,
  });
  expect(sheets.map(({ places }) => places.length)).toEqual([4, 4, 2]);
  expect(sheets[1]).toEqual(sheets[0]);
  const few = await nestSheets([wish(square, 10)], room(100, 100, 1), {
    most: 2,
    rounds: 2,
    seed: 1,
  });
  expect(few).toHaveLength(2);
});

test('nesting stops when it is cancelled, and after the first answer when the time is up', async () => {
  const wishes = [wish(STAR, 500, [0, 30])];
  const { task, cancel } = watchedTask(() => undefined);
  const nesting = nestSheets(wishes, room(150, 150, 1), { most: 1, rounds: 1e6, seed: 1, task });
  setTimeout(cancel, 50);
  await expect(nesting).rejects.toThrow('Cancelled');
  const first = await nestSheets(wishes, room(150, 150, 1), {
    most: 1,
    rounds: 1e6,
    seed: 1,
    over: () => true,
  });
  // However short the time, there is a first answer.
  expect(first.map(({ places }) => places.length > 10)).toEqual([true]);
});

test('a packing request with free outlines is answered about their own origins', async () => {
  const points = [
    [-20, -20],
    [20, -20],
    [20, 20],
    [-20, 20],
  ] as const;
  const packed = await tryPack(
    {
      sheet: { width: 100, height: 100, margin: [8, 8, 8, 8] },
      gap: 2,
      pieces: [
        { id: 'a', shape: { rings: [points] }, quantity: 3, turns: 'any' },
        { id: 'b', shape: { circle: 40 }, quantity: 'max' },
      ],
    },
    { rounds: 20, seed: 2 },
  );
  if (!packed.ok) throw new Error(packed.problem.code);
  expect(packed.value).toMatchObject({ placed: { a: 3, b: 1 }, left: {}, method: 'nest' });
  const at = packed.value.sheets[0]?.placements.find(({ id }) => id === 'b');
  expect(at?.x).toBeGreaterThan(28 - 0.01);
  expect(at?.x).toBeLessThan(72 + 0.01);
});
