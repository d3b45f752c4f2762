import fc from 'fast-check';
import { bestFit, type FittedRect } from './best-fit.ts';
import { tryPack } from './index.ts';
import { mostRectangles } from './rectangle-bounds.ts';

type Sides = readonly [number, number];
const fit = ([width, height]: Sides, [w, h]: Sides, gap = 0) => ({
  places: bestFit({ width, height }, { width: w, height: h }, gap),
  bound: mostRectangles({ width, height }, { width: w, height: h }, gap),
});

/** What is wrong with places, looked at pair by pair; nothing when all is well. */
function faults(
  places: readonly FittedRect[],
  [width, height]: Sides,
  [w, h]: Sides,
  gap: number,
): string[] {
  const boxes = places.map(({ x, y, lying }) => ({
    left: x,
    top: y,
    right: x + (lying ? h : w),
    bottom: y + (lying ? w : h),
  }));
  const found: string[] = [];
  boxes.forEach((one, at) => {
    if (
      one.left < -1e-6 ||
      one.top < -1e-6 ||
      one.right > width + 1e-6 ||
      one.bottom > height + 1e-6
    )
      found.push(`${at} outside`);
    for (const other of boxes.slice(at + 1)) {
      const across = Math.max(one.left - other.right, other.left - one.right);
      const down = Math.max(one.top - other.bottom, other.top - one.bottom);
      if (Math.max(across, down) < gap - 1e-6) found.push(`${at} too near`);
    }
  });
  return found;
}

test.each<[Sides, Sides, number]>([
  [[5, 5], [3, 2], 4], // a pinwheel; rows hold 2
  [[22, 16], [5, 3], 23],
  [[10, 10], [10, 10], 1],
  [[9.9, 10], [10, 10], 0],
  [[100, 10], [10, 10], 10],
])('a room of %j holds %j so many times: %d', (room, rect, count) => {
  const { places, bound } = fit(room, rect);
  expect(places).toHaveLength(count);
  expect(bound).toBe(count);
  expect(faults(places, room, rect, 0)).toEqual([]);
});

test('any room, rectangle and gap: all stand inside and apart, and never more than the bound', () => {
  const side = fc.integer({ min: 200, max: 1200 }).map((tenths) => tenths / 10);
  fc.assert(
    fc.property(
      fc.tuple(fc.integer({ min: 500, max: 2500 }), fc.integer({ min: 500, max: 2500 })),
      fc.tuple(side, side),
      fc.integer({ min: 0, max: 40 }),
      ([width, height], rect, tenths) => {
        const room: Sides = [width / 10, height / 10];
        const gap = tenths / 10;
        const { places, bound } = fit(room, rect, gap);
        const rows = ([w, h]: Sides): number =>
          Math.floor((room[0] + gap + 1e-9) / (w + gap)) *
          Math.floor((room[1] + gap + 1e-9) / (h + gap));
        expect(faults(places, room, rect, gap)).toEqual([]);
        expect(places.length).toBeLessThanOrEqual(bound);
        expect(places.length).toBeGreaterThanOrEqual(
          Math.max(rows(rect), rows([rect[1], rect[0]])),
        );
      },
    ),
    { numRuns: 60, seed: 7 },
  );
});

test('peel pack mixes both directions, proves it, and keeps out of what is to be kept clear', async () => {
  const request = (keepClear: object[]) => ({
    sheet: { width: 50, height: 50, margin: [0, 0, 0, 0] },
    gap: 0,
    keepClear,
    pieces: [{ id: 'a', shape: { rect: [30, 20] }, quantity: 'max', turns: 'quarter' }],
  });
  const plain = await tryPack(request([]));
  expect(plain.ok && plain.value).toMatchObject({
    placed: { a: 4 },
    bound: { a: 4 },
    proved: true,
    method: 'best-fit',
  });
  const kept = await tryPack(request([{ x: 20, y: 20, width: 10, height: 10 }]));
  // The middle of the pinwheel is free anyway, and rows would meet it.
  expect(kept.ok && kept.value.placed.a).toBeLessThanOrEqual(4);
  const never = await tryPack({
    ...request([]),
    pieces: [{ id: 'a', shape: { rect: [30, 20] }, quantity: 'max', turns: 'none' }],
  });
  expect(never.ok && never.value).toMatchObject({
    placed: { a: 2 },
    bound: { a: 2 },
    proved: true,
  });
});

const packed = async (sheet: Sides, rect: Sides, turns: unknown, gap = 0) => {
  const answer = await tryPack({
    sheet: { width: sheet[0], height: sheet[1] },
    gap,
    pieces: [{ id: 'a', shape: { rect }, quantity: 'max', turns }],
  });
  if (!answer.ok) throw new Error(answer.problem.code);
  const { placed, bound, proved } = answer.value;
  return { placed: placed.a ?? 0, bound: bound?.a ?? 0, proved };
};

test('what may lie askew is laid askew, and nothing is proved that only holds for straight ones', async () => {
  // Two strips of 130 x 5 lie along the diagonal of a square of 100.
  const strip = await packed([100, 100], [130, 5], 'any');
  expect(strip.placed).toBeGreaterThanOrEqual(1);
  expect(strip.bound).toBe(15);
  expect(strip.proved).toBe(false);
  expect(await packed([100, 100], [130, 5], 'quarter')).toEqual({
    placed: 0,
    bound: 0,
    proved: true,
  });
  // Five squares of side 1 fit into one of side 2 + 1/√2, one of them askew (Göbel 1979).
  const five = await packed([54.2, 54.2], [20, 20], 45);
  expect([five.placed >= 4, five.bound, five.proved]).toEqual([true, 7, false]);
  expect(await packed([54.2, 54.2], [20, 20], 'quarter')).toMatchObject({
    placed: 4,
    proved: true,
  });
});

test('a gap is kept to the last bit of what was asked for', () => {
  for (const gap of [1 / 3, 2.0004, 0.12345, Math.PI]) {
    const { places } = fit([210, 297], [33.33337, 21.21214], gap);
    expect(places.length).toBeGreaterThan(40);
    const sizes = ({ lying }: FittedRect): Sides =>
      lying ? [21.21214, 33.33337] : [33.33337, 21.21214];
    let least = Infinity;
    places.forEach((one, at) => {
      for (const other of places.slice(at + 1)) {
        const [w, h] = sizes(one);
        const [v, k] = sizes(other);
        const across = Math.max(one.x - other.x - v, other.x - one.x - w);
        const down = Math.max(one.y - other.y - k, other.y - one.y - h);
        least = Math.min(least, Math.max(across, down));
      }
    });
    expect(least).toBeGreaterThan(gap - 1e-9);
  }
});
