import type { PieceElement } from '../../../core/piece/index.ts';
import { turnedByFingers } from './two-fingers.ts';

const element = (id: string, x: number, y: number, angle = 0): PieceElement => ({
  ...{ id, x, y, angle, locked: false, kind: 'plate', fill: null, line: null },
  shape: { kind: 'circle', diameter: 5 },
});
const finger = (fromX: number, fromY: number, x: number, y: number) => ({
  from: { x: fromX, y: fromY },
  at: { x, y },
});

test('a quarter turn of two fingers turns what lies between them about their middle', () => {
  const made = turnedByFingers(
    [element('a', 10, 0), element('b', 0, 0, 10)],
    finger(-10, 0, 0, -10),
    finger(10, 0, 0, 10),
  );
  expect(made.a).toEqual({ x: expect.closeTo(0, 9), y: expect.closeTo(10, 9), angle: 90 });
  expect(made.b).toEqual({ x: expect.closeTo(0, 9), y: expect.closeTo(0, 9), angle: 100 });
});

test('fingers that move alike move it and do not turn it', () => {
  const { a } = turnedByFingers([element('a', 1, 2)], finger(0, 0, 3, 4), finger(10, 0, 13, 4));
  expect(a).toEqual({ x: expect.closeTo(4), y: expect.closeTo(6), angle: 0 });
});

test('an angle near a twelfth of a half turn holds there', () => {
  const tilt = (degrees: number): unknown => {
    const at = (degrees * Math.PI) / 180;
    const end = finger(10, 0, 10 * Math.cos(at), 10 * Math.sin(at));
    return turnedByFingers([element('a', 0, 0)], finger(0, 0, 0, 0), end).a?.angle;
  };
  expect([tilt(13), tilt(16), tilt(20)]).toEqual([15, 15, 20]);
});
