import {
  boxesMeet,
  boxWithin,
  clockwise,
  offsetRegion,
  signedArea,
  type Box,
  type Ring,
} from '../geometry/index.ts';
import { mostRectangles, type Size } from './rectangle-bounds.ts';
import type { Repeated, Room } from './step-and-repeat.ts';

/** How copies may be turned that a bound counts: not or by half turns, by quarters too, or in any way. */
export type BoundTurns = 'none' | 'quarter' | 'any';

/**
 * An upper bound on how many copies of one outline fit into an area, whatever the arrangement.
 *
 * Rectangles: each copy with half the gap around it keeps to itself in the area grown by half the
 * gap, less the inside of what is taken; in an empty area also what rows of both directions can reach,
 * or of one where they may not be turned; where they may lie askew, by area alone. Circles: Oler's inequality (N. Oler, 1961) for the centres,
 * which keep a distance of diameter + gap in the rectangle of possible centres.
 */
export function copiesUpperBound(
  shape: Repeated,
  area: Box,
  gap: number,
  { taken = [], turns = 'quarter' }: { taken?: readonly Box[]; turns?: BoundTurns } = {},
): number {
  const width = area.right - area.left;
  const height = area.bottom - area.top;
  if (shape.round) {
    const across = width - shape.width;
    const down = height - shape.width;
    if (across < -1e-9 || down < -1e-9) return 0;
    const apart = shape.width + gap;
    const inside = (Math.max(0, across) * Math.max(0, down)) / (apart * apart);
    const round = (Math.max(0, across) + Math.max(0, down)) / apart;
    return Math.floor((2 / Math.sqrt(3)) * inside + round + 1 + 1e-9);
  }
  const least = Math.min(shape.width, shape.height);
  if (Math.min(width, height) < least - 1e-9) return 0;
  const free = grownRoom({ area, taken, gap });
  if (turns === 'any') {
    const { width: w, height: h } = shape;
    return Math.floor(free / (w * h + (w + h) * gap + (Math.PI * gap * gap) / 4) + 1e-9);
  }
  if (Math.max(width, height) < Math.max(shape.width, shape.height) - 1e-9) return 0;
  const byArea = Math.floor(free / ((shape.width + gap) * (shape.height + gap)) + 1e-9);
  if (taken.some((box) => boxesMeet(box, area))) return byArea;
  return Math.min(
    byArea,
    turns === 'quarter' && shape.width !== shape.height
      ? mostRectangles({ width, height }, shape, gap)
      : gridCount({ width, height }, shape, gap),
  );
}

/** The area grown by half the gap, less the inside of what is taken, mm². */
function grownRoom({ area, taken, gap }: Room): number {
  const shrunk = taken.map((box) => ({
    left: Math.max(box.left + gap / 2, area.left - gap / 2),
    top: Math.max(box.top + gap / 2, area.top - gap / 2),
    right: Math.min(box.right - gap / 2, area.right + gap / 2),
    bottom: Math.min(box.bottom - gap / 2, area.bottom + gap / 2),
  }));
  const [width, height] = [area.right - area.left, area.bottom - area.top];
  return (width + gap) * (height + gap) - coveredArea(shrunk);
}

/** The same for a free outline, by area alone: each copy keeps half the gap around it to itself. */
export function outlinesUpperBound(ring: Ring, room: Room): number {
  const own = offsetRegion([clockwise(ring)], room.gap / 2).reduce(
    (sum, one) => sum + signedArea(one),
    0,
  );
  return Math.max(0, Math.floor(grownRoom(room) / own + 1e-9));
}

/** How many stand in rows and columns, all one way. */
function gridCount(room: Size, shape: Size, gap: number): number {
  const along = (length: number, side: number): number =>
    Math.floor((length + gap + 1e-6) / (side + gap));
  return along(room.width, shape.width) * along(room.height, shape.height);
}

/** The area of a room less what is taken of it, mm². */
export function freeArea({ area, taken }: Omit<Room, 'gap'>): number {
  const within = taken
    .filter((zone) => !boxWithin(area, zone))
    .map((zone): Box => ({
      left: Math.max(zone.left, area.left),
      top: Math.max(zone.top, area.top),
      right: Math.min(zone.right, area.right),
      bottom: Math.min(zone.bottom, area.bottom),
    }));
  return (area.right - area.left) * (area.bottom - area.top) - coveredArea(within);
}

/** The area that boxes cover together, mm²; overlaps count once. */
export function coveredArea(boxes: readonly Box[]): number {
  const real = boxes.filter((box) => box.right > box.left && box.bottom > box.top);
  const xs = [...new Set(real.flatMap((box) => [box.left, box.right]))].sort((a, b) => a - b);
  let area = 0;
  for (let index = 0; index + 1 < xs.length; index++) {
    const [left = 0, right = 0] = [xs[index], xs[index + 1]];
    const spans = real
      .filter((box) => box.left <= left && box.right >= right)
      .map((box) => [box.top, box.bottom] as const)
      .sort((one, other) => one[0] - other[0]);
    let reached = -Infinity;
    for (const [top, bottom] of spans) {
      area += (right - left) * Math.max(0, bottom - Math.max(top, reached));
      reached = Math.max(reached, bottom);
    }
  }
  return area;
}
