import { boxesMeet, boxWithin, type Box } from '../geometry/index.ts';
import { bestFit } from './best-fit.ts';
import { circleRows } from './circle-rows.ts';
import { ovalRows } from './oval-rows.ts';
import { reserved, stepAndRepeat, type Repeated, type Room, type Spot } from './step-and-repeat.ts';

/** Where copies of one outline stand, and how they were laid. */
export interface Filled {
  readonly spots: readonly Spot[];
  readonly method: 'best-fit' | 'step-and-repeat';
}

const MOST_ROOMS = 6;

/**
 * As many copies of one outline as fit, up to `enough`. Rows are easier to cut and are kept where they
 * hold as many. Otherwise circles and ovals stand in shifted rows, and rectangles that may be turned stand and lie mixed; where something is taken
 * the largest free rooms are filled best, each tried on its own, and what is left in rows.
 */
export function fillBest(
  shape: Repeated,
  room: Room,
  { mayTurn, enough = Infinity }: { mayTurn: boolean; enough?: number },
): Filled {
  const rows = stepAndRepeat(shape, room, mayTurn);
  if (shape.round && rows.length < enough) {
    const shifted = circleRows(shape.width, room);
    if (shifted.length > rows.length) return { spots: shifted, method: 'best-fit' };
  }
  if (shape.oval && rows.length < enough) {
    const shifted = ovalRows(shape, room, mayTurn);
    if (shifted.length > rows.length) return { spots: shifted, method: 'best-fit' };
  }
  const turns = mayTurn && !shape.round && shape.width !== shape.height;
  if (!turns || rows.length >= enough) return { spots: rows, method: 'step-and-repeat' };
  const mixed = mixedIn(shape, room);
  return mixed.length > rows.length
    ? { spots: mixed, method: 'best-fit' }
    : { spots: rows, method: 'step-and-repeat' };
}

function mixedIn(shape: Repeated, room: Room): readonly Spot[] {
  const taken = room.taken.filter((box) => boxesMeet(box, room.area));
  if (taken.length === 0) return fitted(shape, room.area, room.gap);
  let best: readonly Spot[] = [];
  for (const free of freeRooms(room.area, taken).slice(0, MOST_ROOMS)) {
    const spots = fitted(shape, free, room.gap);
    const rest = stepAndRepeat(
      shape,
      { ...room, taken: [...taken, ...spots.map((spot) => reserved(spot, shape, room.gap))] },
      true,
    );
    if (spots.length + rest.length > best.length) best = [...spots, ...rest];
  }
  return best;
}

/** A best fit in a box, in its middle. */
function fitted({ width, height }: Repeated, box: Box, gap: number): Spot[] {
  const room = { width: box.right - box.left, height: box.bottom - box.top };
  const places = bestFit(room, { width, height }, gap);
  const size = (lying: boolean): readonly [number, number] =>
    lying ? [height, width] : [width, height];
  const reach = (side: 'x' | 'y'): number =>
    places.reduce(
      (far, one) => Math.max(far, one[side] + size(one.lying)[side === 'x' ? 0 : 1]),
      0,
    );
  const [left, top] = [
    box.left + (room.width - reach('x')) / 2,
    box.top + (room.height - reach('y')) / 2,
  ];
  return places.map(({ x, y, lying }) => {
    const [w, h] = size(lying);
    return { x: left + x + w / 2, y: top + y + h / 2, angle: lying ? 90 : 0 };
  });
}

/** The boxes in an area that meet nothing taken and cannot be larger, the largest first. */
export function freeRooms(area: Box, taken: readonly Box[]): Box[] {
  const cuts = (low: number, high: number, ends: readonly number[]): number[] =>
    [...new Set([low, high, ...ends.filter((end) => end > low && end < high)])].sort(
      (one, other) => one - other,
    );
  const xs = cuts(
    area.left,
    area.right,
    taken.flatMap(({ left, right }) => [left, right]),
  );
  const ys = cuts(
    area.top,
    area.bottom,
    taken.flatMap(({ top, bottom }) => [top, bottom]),
  );
  const free: Box[] = [];
  for (const [from, left] of xs.entries())
    for (const right of xs.slice(from + 1))
      for (const [begin, top] of ys.entries())
        for (const bottom of ys.slice(begin + 1)) {
          const box = { left, top, right, bottom };
          if (!taken.some((one) => boxesMeet(one, box))) free.push(box);
        }
  const areaOf = (box: Box): number => (box.right - box.left) * (box.bottom - box.top);
  return free
    .filter((box) => !free.some((other) => other !== box && boxWithin(box, other)))
    .sort((one, other) => areaOf(other) - areaOf(one));
}
