import { grown, type Box } from '../geometry/index.ts';
import { circleRows } from './circle-rows.ts';
import type { Repeated, Room, Spot } from './step-and-repeat.ts';

const { sqrt } = Math;

/**
 * As many ovals as shifted rows hold, all of them upright or all lying. An oval with half the gap
 * around it lies within a larger oval, whose axes have grown by that much times the half sum of its
 * axes over their geometric mean (Kantorovich's inequality for its support function); stretched to a
 * circle it stands as circles do.
 */
export function ovalRows(shape: Repeated, room: Room, mayTurn: boolean): Spot[] {
  const upright = rowsOf(shape, room, 0);
  if (!mayTurn) return upright;
  const lying = rowsOf({ ...shape, width: shape.height, height: shape.width }, room, 90);
  return lying.length > upright.length ? lying : upright;
}

function rowsOf({ width, height }: Repeated, room: Room, angle: number): Spot[] {
  const around = ((room.gap / 2) * (width + height)) / 2 / sqrt(width * height);
  const [wide, high] = [width + 2 * around, height + 2 * around];
  const stretch = high / wide;
  const stretched = ({ left, top, right, bottom }: Box): Box => ({
    left: left * stretch,
    top,
    right: right * stretch,
    bottom,
  });
  // What is taken needs no gap. Its corners would come nearer by the square root of two.
  const taken = room.taken.map((box) => stretched(grown(box, -room.gap / 2 / sqrt(2))));
  const spots = circleRows(high, {
    area: stretched(grown(room.area, around)),
    taken: taken.filter((box) => box.right > box.left && box.bottom > box.top),
    gap: 0,
  });
  return spots.map(({ x, y }) => ({ x: x / stretch, y, angle }));
}
