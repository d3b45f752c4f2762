import fc from 'fast-check';
import { circleRows } from './circle-rows.ts';
import { copiesUpperBound } from './index.ts';

const room = (width: number, height: number, gap = 0) => ({
  area: { left: 7, top: 9, right: 7 + width, bottom: 9 + height },
  taken: [],
  gap,
});

test('hexagonal rows hold what is known of them: 105 of diameter 1 in a square of 10', () => {
  expect(circleRows(1, room(10, 10))).toHaveLength(105);
});

test('rows are squeezed where whole circles leave room beside them', () => {
  // A strip of 1.8 is too low for two hexagonal rows (1.866). Five circles spread over 6.24 stand
  // 1.31 apart, so that four more lie 0.756 above them, in the gaps.
  expect(circleRows(1, room(6.24, 1.8))).toHaveLength(9);
  expect(circleRows(1, room(6.24, 1.4))).toHaveLength(6); // one row: nothing can lie in its gaps
});

test('circles keep the gap and the sheet, and are never more than can be', () => {
  const side = fc.double({ min: 60, max: 300, noNaN: true });
  fc.assert(
    fc.property(
      side,
      side,
      fc.double({ min: 12, max: 60, noNaN: true }),
      fc.double({ min: 0, max: 4, noNaN: true }),
      (width, height, diameter, gap) => {
        const sheet = {
          ...room(width, height, gap),
          taken: [{ left: 0, top: 0, right: 20, bottom: 22 }],
        };
        const spots = circleRows(diameter, sheet);
        const { left, top, right, bottom } = sheet.area;
        let [edge, zone, near] = [Infinity, Infinity, Infinity];
        for (const [at, { x, y }] of spots.entries()) {
          edge = Math.min(edge, x - left, y - top, right - x, bottom - y);
          zone = Math.min(zone, Math.hypot(Math.max(0, x - 20), Math.max(0, y - 22)));
          for (const other of spots.slice(at + 1))
            near = Math.min(near, Math.hypot(x - other.x, y - other.y));
        }
        expect(edge).toBeGreaterThan(diameter / 2 - 1e-5);
        expect(zone).toBeGreaterThan(diameter / 2 - 1e-5);
        expect(near).toBeGreaterThan(diameter + gap - 1e-5);
        const shape = { width: diameter, height: diameter, round: true };
        expect(spots.length).toBeLessThanOrEqual(copiesUpperBound(shape, sheet.area, gap));
      },
    ),
    { numRuns: 150, seed: 5 },
  );
});
