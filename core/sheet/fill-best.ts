import { boxesMeet, boxWithin, type Box } from '../geometry/index.ts';
import { bestFit } from './best-fit.ts';
import { stepAndRepeat, type Repeated, type Room, type Spot } from './step-and-repeat.ts';

/** Where copies of one outline stand, how they were laid, and how many there could be at most. */
export interface Filled {
  readonly spots: readonly Spot[];
  readonly method: 'best-fit' | 'step-and-repeat';
  /** Undefined where something is taken and only its area bounds the number. */
  readonly bound: number | undefined;
}

const MOST_ROOMS = 6;

/**
 * As many copies of one outline as fit. Rectangles that may be turned stand and lie mixed; where
 * something is taken the largest free rooms are filled best, one at a time, and what is left in rows.
 */
export function fillBest(shape: Repeated, room: Room, mayTurn: boolean): Filled {
  const key = JSON.stringify([shape, room, mayTurn]);
  const known = remembered.get(key);
  if (known) return known;
  const made = fill(shape, room, mayTurn);
  if (remembered.size >= MOST_REMEMBERED) remembered.clear();
  remembered.set(key, made);
  return made;
}

/** Desks ask for the same sheet after every change of something else. */
const remembered = new Map<string, Filled>();
const MOST_REMEMBERED = 60;

function fill(shape: Repeated, room: Room, mayTurn: boolean): Filled {
  const plain = stepAndRepeat(shape, room, mayTurn);
  const taken = room.taken.filter((box) => boxesMeet(box, room.area));
  if (shape.round) return { spots: plain, method: 'step-and-repeat', bound: undefined };
  if (!mayTurn || shape.width === shape.height)
    return {
      spots: plain,
      method: 'step-and-repeat',
      bound: taken.length ? undefined : gridCount(shape, room),
    };
  if (taken.length === 0) {
    const { places, bound } = fitted(shape, room.area, room.gap);
    return places.length > plain.length
      ? { spots: places, method: 'best-fit', bound }
      : { spots: plain, method: 'step-and-repeat', bound };
  }
  let best: readonly Spot[] = plain;
  for (const free of freeRooms(room.area, taken).slice(0, MOST_ROOMS)) {
    const { places } = fitted(shape, free, room.gap);
    const rest = stepAndRepeat(
      shape,
      { ...room, taken: [...taken, ...places.map((spot) => reserved(spot, shape, room.gap))] },
      true,
    );
    if (places.length + rest.length > best.length) best = [...places, ...rest];
  }
  return {
    spots: best,
    method: best === plain ? 'step-and-repeat' : 'best-fit',
    bound: undefined,
  };
}

function gridCount({ width, height }: Repeated, { area, gap }: Room): number {
  const along = (length: number, side: number): number =>
    Math.floor((length + gap + 1e-6) / (side + gap));
  return along(area.right - area.left, width) * along(area.bottom - area.top, height);
}

/** A best fit in a box, in its middle. */
function fitted(
  { width, height }: Repeated,
  box: Box,
  gap: number,
): { places: Spot[]; bound: number } {
  const room = { width: box.right - box.left, height: box.bottom - box.top };
  const { places, bound } = bestFit(room, { width, height }, gap);
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
  return {
    bound,
    places: places.map(({ x, y, lying }) => {
      const [w, h] = size(lying);
      return { x: left + x + w / 2, y: top + y + h / 2, angle: lying ? 90 : 0 };
    }),
  };
}

/** What a copy keeps others out of. */
function reserved({ x, y, angle }: Spot, { width, height }: Repeated, gap: number): Box {
  const [w, h] = angle === 90 ? [height, width] : [width, height];
  return {
    left: x - w / 2 - gap,
    top: y - h / 2 - gap,
    right: x + w / 2 + gap,
    bottom: y + h / 2 + gap,
  };
}

/** The boxes in an area that meet nothing taken and cannot be larger, the largest first. */
function freeRooms(area: Box, taken: readonly Box[]): Box[] {
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
