import fc from 'fast-check';
import { boxOf, mapRing, placed, type Ring } from '../../geometry/index.ts';
import { findLayoutViolations } from '../index.ts';
import { Level } from './level.ts';
import { reachOf, type NestRoom } from './turned.ts';

const blob = (radius: number, bump: number): Ring =>
  Array.from({ length: 40 }, (_, at) => {
    const turn = (Math.PI * at) / 20;
    const far = radius * (1 + bump * Math.sin(3 * turn));
    return { x: far * Math.cos(turn), y: far * Math.sin(turn) };
  });
const room = (gap: number, taken: NestRoom['taken'] = []): NestRoom => ({
  area: { left: 10, top: 12, right: 70, bottom: 62 },
  taken,
  gap,
});
const levelOf = (ring: Ring, angles: readonly number[], within: NestRoom): Level =>
  new Level([{ ring, angles }], {
    room: within,
    cell: 0.5,
    reach: reachOf(within.gap),
    cover: 'touched',
  });

test('an outline lies on the board at every place that it has, however it is turned and grown', () => {
  fc.assert(
    fc.property(
      fc.double({ min: 4, max: 20, noNaN: true }),
      fc.double({ min: 0, max: 0.3, noNaN: true }),
      fc.double({ min: 0, max: 360, noNaN: true }),
      fc.double({ min: 0, max: 4, noNaN: true }),
      (radius, bump, angle, gap) => {
        const level = levelOf(blob(radius, bump), [angle], room(gap));
        const turned = level.find(0, 0);
        expect(level.fits(0)).toBe(turned !== undefined);
        if (!turned) return;
        const { mask, across, down } = turned;
        expect(Math.min(mask.left, mask.top)).toBeGreaterThanOrEqual(0);
        expect(mask.right + across - 1).toBeLessThanOrEqual(level.board.cols);
        expect(mask.bottom + down - 1).toBeLessThanOrEqual(level.board.rows);
      },
    ),
    { seed: 4, numRuns: 200 },
  );
});

test('a place is barred where the outline meets what is to be kept clear, and hardly anywhere else', () => {
  const taken = [
    { left: 10, top: 12, right: 21.3, bottom: 20 },
    { left: 55, top: 50, right: 80, bottom: 80 },
  ];
  const within = room(3, taken);
  const ring = blob(7, 0.2);
  const level = levelOf(ring, [33], within);
  const turned = level.find(0, 0);
  if (!turned) throw new Error('the outline has no place');
  const { barred, across, down, origin } = turned;
  const meets = (x: number, y: number, boxes: NestRoom['taken']): boolean => {
    const outline = mapRing(ring, placed(origin.x + x * 0.5, origin.y + y * 0.5, 33));
    return findLayoutViolations([outline], { ...within, taken: boxes }).onTaken.length > 0;
  };
  const larger = taken.map(({ left, top, right, bottom }) => ({
    left: left - 1.5,
    top: top - 1.5,
    right: right + 1.5,
    bottom: bottom + 1.5,
  }));
  let met = 0;
  for (let y = 0; y < down; y += 3)
    for (let x = 0; x < across; x += 3) {
      const bar = barred?.[y * across + x] === 1;
      if (meets(x, y, taken)) {
        met++;
        expect(bar).toBe(true);
      } else if (!meets(x, y, larger)) expect(bar).toBe(false);
    }
  expect(met).toBeGreaterThan(30);
});

test('the first ways to turn are upright and across, or others where these have no place', () => {
  const angles = [0, 30, 60, 90, 120, 150, 180, 210, 240, 270, 300, 330];
  const turns = (ring: Ring): number[] =>
    levelOf(ring, angles, room(1))
      .firstTurns(0, 2)
      .map(([, { angle }]) => angle);
  expect(turns(blob(6, 0.1))).toEqual([0, 90]);
  const bar = [
    { x: -30.5, y: -2 },
    { x: 30.5, y: -2 },
    { x: 30.5, y: 2 },
    { x: -30.5, y: 2 },
  ];
  // 61 is more than the room is wide or high, but not more than its diagonal.
  expect(turns(bar)).toEqual([30, 210]);
  expect(boxOf(bar)?.right).toBe(30.5);
});
