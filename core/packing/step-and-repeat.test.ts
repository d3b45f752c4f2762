import * as fc from 'fast-check';
import { boxesMeet } from '../geometry/index.ts';
import { reserved, stepAndRepeat, type Room } from './step-and-repeat.ts';

const area = { left: 10, top: 10, right: 200, bottom: 287 };

test('labels stand in rows and columns in the middle of the room, upright or lying', () => {
  const shape = { width: 60, height: 40, round: false };
  // 190 x 277 with a gap of 2: 3 x 6 upright, 4 x 4 lying.
  const spots = stepAndRepeat(shape, { area, taken: [], gap: 2 }, true);
  expect(spots).toHaveLength(18);
  expect(new Set(spots.map(({ angle }) => angle))).toEqual(new Set([0]));
  expect(spots[0]?.x).toBeCloseTo(43, 9); // (10 + 200 - 184) / 2 + 30
  const strip = { ...area, bottom: 55 };
  // Too low for it, however it lies.
  expect(stepAndRepeat({ ...shape, height: 50 }, { area: strip, taken: [], gap: 2 }, true)).toEqual(
    [],
  );
});

test('where so many are enough an empty room has as many, as far as they fit; none ever meets another', () => {
  const side = fc.double({ min: 12, max: 90, noNaN: true });
  const box = fc.record({
    left: fc.double({ min: 0, max: 180, noNaN: true }),
    top: fc.double({ min: 0, max: 260, noNaN: true }),
    width: fc.double({ min: 5, max: 60, noNaN: true }),
    height: fc.double({ min: 5, max: 60, noNaN: true }),
  });
  fc.assert(
    fc.property(side, side, fc.array(box, { maxLength: 3 }), fc.nat({ max: 6 }), (...given) => {
      const [width, height, boxes, more] = given;
      const enough = 1 + more;
      const taken = boxes.map(({ left, top, ...size }) => ({
        left,
        top,
        right: left + size.width,
        bottom: top + size.height,
      }));
      const room: Room = { area, taken, gap: 1 };
      const shape = { width, height, round: false };
      const most = stepAndRepeat(shape, room, true).length;
      const few = stepAndRepeat(shape, room, true, enough);
      expect(few.length).toBeLessThanOrEqual(most);
      if (most >= enough && taken.length === 0) expect(few.length).toBeGreaterThanOrEqual(enough);
      const cells = few.map((spot) => reserved(spot, shape, 0));
      for (const [at, cell] of cells.entries())
        for (const other of [...taken, ...cells.slice(at + 1)])
          expect(boxesMeet(cell, other)).toBe(false);
    }),
  );
});
