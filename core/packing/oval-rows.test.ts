import fc from 'fast-check';
import { mapRing, flatten, placed } from '../geometry/index.ts';
import { shapePath } from '../shape/index.ts';
import { findLayoutViolations } from './index.ts';
import { ovalRows } from './oval-rows.ts';
import { stepAndRepeat } from './step-and-repeat.ts';

test('shifted rows of ovals hold as many as those of circles stretched alike', () => {
  // Circles of 10 in a square of 100: 105 in hexagonal rows, 100 in square ones.
  const shape = { width: 20, height: 10, round: false, oval: true };
  const room = { area: { left: 5, top: 5, right: 205, bottom: 105 }, taken: [], gap: 0 };
  expect(stepAndRepeat(shape, room, false)).toHaveLength(100);
  expect(ovalRows(shape, room, false)).toHaveLength(105);
});

test('ovals keep the gap, the sheet and what is kept clear, by exact distances', () => {
  const side = fc.double({ min: 18, max: 60, noNaN: true });
  fc.assert(
    fc.property(side, side, fc.double({ min: 0, max: 6, noNaN: true }), (width, height, gap) => {
      const room = {
        area: { left: 5, top: 5, right: 155, bottom: 145 },
        taken: [{ left: 0, top: 0, right: 25, bottom: 22 }],
        gap,
      };
      const spots = ovalRows({ width, height, round: false, oval: true }, room, true);
      const [outline = []] = flatten(shapePath({ kind: 'ellipse', width, height }), 0.002);
      const rings = spots.map(({ x, y, angle }) => mapRing(outline, placed(x, y, angle)));
      expect(findLayoutViolations(rings, room, 0.01)).toEqual({
        outside: [],
        onTaken: [],
        near: [],
      });
    }),
    { numRuns: 12 },
  );
});
