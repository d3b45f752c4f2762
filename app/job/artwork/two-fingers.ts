import type { Point } from '../../../core/geometry/index.ts';
import type { ElementChanges } from '../../../core/job/index.ts';
import type { PieceElement } from '../../../core/piece/index.ts';
import type { SecondFinger } from '../common/drag-step.ts';

const STEP = 15; // degrees at which it holds
const HOLD = 3;

/**
 * Where two fingers have taken elements: moved with their middle and turned with the line between
 * them about it. The angle holds at each 15 degrees.
 */
export function turnedByFingers(
  elements: readonly PieceElement[],
  first: SecondFinger,
  second: SecondFinger,
): Record<string, ElementChanges> {
  const middle = (one: Point, other: Point): Point => ({
    x: (one.x + other.x) / 2,
    y: (one.y + other.y) / 2,
  });
  const angle = (one: Point, other: Point): number =>
    (Math.atan2(other.y - one.y, other.x - one.x) * 180) / Math.PI;
  const [from, to] = [middle(first.from, second.from), middle(first.at, second.at)];
  const free = angle(first.at, second.at) - angle(first.from, second.from);
  const [leading] = elements;
  const turn = leading ? held(leading.angle + free) - leading.angle : free;
  const [cos, sin] = [Math.cos((turn * Math.PI) / 180), Math.sin((turn * Math.PI) / 180)];
  return Object.fromEntries(
    elements.map((one) => {
      const [x, y] = [one.x - from.x, one.y - from.y];
      return [
        one.id,
        {
          x: to.x + x * cos - y * sin,
          y: to.y + x * sin + y * cos,
          angle: Math.round((one.angle + turn) * 10) / 10,
        },
      ];
    }),
  );
}

function held(angle: number): number {
  const step = Math.round(angle / STEP) * STEP;
  return Math.abs(angle - step) < HOLD ? step : angle;
}
