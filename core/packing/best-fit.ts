// As many equal rectangles as fit into a rectangle, upright and lying mixed.
//
// Sides are whole tenths of a µm, rounded up, so that no gap is less than asked for; the gap is part of each side, and the room is one gap larger.
// Placing: the recursive five-block heuristic (R. Morabito and S. Morales, A simple and effective
// recursive procedure for the manufacturer's pallet loading problem, 1998): a room is cut into five
// blocks around a pinwheel, each of them filled the same way, over raster points (J. Terno and
// G. Scheithauer, The G4-heuristic for the pallet loading problem, 1996).
// A room is done when it meets its bound by area (`rectangle-bounds.ts`).

import {
  atLeast,
  atMost,
  mostByArea,
  reachable,
  reached,
  UNIT,
  type Sides,
  type Size,
} from './rectangle-bounds.ts';

/** A rectangle in a room: its upper left corner, and whether it lies (its first side goes down). */
export interface FittedRect {
  readonly x: number;
  readonly y: number;
  readonly lying: boolean;
}

const NONE = -1;

/** Everything that does not change while one instance is worked on. */
interface Instance extends Sides {
  /** All lengths that sums of sides reach, ascending from 0. */
  readonly lengths: Int32Array;
  /** By the positions of both sides in `lengths`, the smaller first: how many fit; `NONE` is not known. */
  readonly known: Int16Array;
  /** How many cuts have been looked at. */
  looked: number;
}

/**
 * The best arrangement that is found of rectangles in a room.
 * @param room mm
 * @param rect mm
 * @param gap between rectangles, mm; none is needed towards the room's sides
 * @returns places in mm from the room's upper left corner
 */
export function bestFit(room: Size, rect: Size, gap: number): FittedRect[] {
  const [width, height] = [atMost(room.width + gap), atMost(room.height + gap)];
  const [a, b] = [atLeast(rect.width + gap), atLeast(rect.height + gap)];
  if (Math.min(width, height) < Math.min(a, b) || Math.min(a, b) <= 0) return [];
  const lengths = reachable(a, b, Math.max(width, height));
  const instance: Instance = {
    a,
    b,
    lengths,
    known: new Int16Array((lengths.length * (lengths.length + 1)) / 2).fill(NONE),
    looked: 0,
  };
  const [across, down] = [reached(lengths, width), reached(lengths, height)];
  solve(instance, across, down);
  const places: FittedRect[] = [];
  lay(instance, across, down, (left, top, upright) =>
    places.push({ x: left / UNIT, y: top / UNIT, lying: !upright }),
  );
  return places;
}

const keyOf = (one: number, other: number): number =>
  one > other ? (one * (one + 1)) / 2 + other : (other * (other + 1)) / 2 + one;

const MOST_LOOKS = 8_000_000;

/** How many fit into a room by the positions of its sides; the same either way round. */
function solve(instance: Instance, across: number, down: number): number {
  if (down > across) return solve(instance, down, across);
  const key = keyOf(across, down);
  const found = instance.known[key] ?? 0;
  if (found !== NONE) return found;
  const { a, b, lengths } = instance;
  const [x, y] = [lengths[across] ?? 0, lengths[down] ?? 0];
  const most = mostByArea(instance, x, y);
  let best = rows(instance, x, y);
  if (best < most && x >= Math.min(a, b))
    best = pinwheel(instance, [across, down], { least: best, most }).count;
  instance.known[key] = best;
  return best;
}

const rows = ({ a, b }: Instance, x: number, y: number): number =>
  Math.max(Math.floor(x / a) * Math.floor(y / b), Math.floor(x / b) * Math.floor(y / a));

/** Where a room is cut into five blocks, by positions in `lengths`, and how many they take. */
interface Cuts {
  readonly count: number;
  readonly x1: number;
  readonly x2: number;
  readonly y1: number;
  readonly y2: number;
}

/** The cuts along one side: their positions, what is left beyond each, and what lies between two. */
interface Raster {
  readonly at: readonly number[];
  readonly beyond: readonly number[];
  readonly between: readonly (readonly number[])[];
}

function rasterOf(lengths: Int32Array, side: number): Raster {
  const length = lengths[side] ?? 0;
  const found = new Set<number>();
  for (let at = 0; at <= side; at++) found.add(reached(lengths, length - (lengths[at] ?? 0)));
  const at = [...found].sort((one, other) => one - other);
  const value = (position: number): number => lengths[position] ?? 0;
  return {
    at,
    beyond: at.map((cut) => reached(lengths, length - value(cut))),
    between: at.map((from) =>
      at.map((to) => reached(lengths, Math.max(0, value(to) - value(from)))),
    ),
  };
}

/**
 * The best pinwheel of five blocks, until `most` is met. Blocks that turn the other way round are the
 * same seen in a mirror, and half a turn brings the rest.
 */
function pinwheel(
  instance: Instance,
  [across, down]: readonly [number, number],
  { least, most }: { readonly least: number; readonly most: number },
): Cuts {
  const { lengths, a, b } = instance;
  const [over, under] = [rasterOf(lengths, across), rasterOf(lengths, down)];
  const value = (position: number): number => lengths[position] ?? 0;
  const [x, y] = [value(across), value(down)];
  const each = a * b;
  const part = (one: number, other: number): number =>
    keyOf(one, other) === keyOf(across, down) ? 0 : solve(instance, one, other);
  let best: Cuts = { count: least, x1: NONE, x2: NONE, y1: NONE, y2: NONE };
  for (let p = 0; p < over.at.length; p++) {
    for (let q = p; q < over.at.length; q++) {
      const [x1, x2] = [over.at[p] ?? 0, over.at[q] ?? 0];
      if (value(x1) + value(x2) > x) break;
      for (let s = 0; s < under.at.length; s++) {
        const y1 = under.at[s] ?? 0;
        const fixed = part(x1, under.beyond[s] ?? 0) + part(x2, y1);
        const used = value(x1) * (y - value(y1)) + value(x2) * value(y1);
        if (fixed + Math.floor((x * y - used) / each) <= best.count) continue;
        for (let t = s; t < under.at.length; t++) {
          if (++instance.looked > MOST_LOOKS) return best;
          const y2 = under.at[t] ?? 0;
          const count =
            fixed +
            part(over.beyond[p] ?? 0, under.beyond[t] ?? 0) +
            part(over.between[p]?.[q] ?? 0, under.between[s]?.[t] ?? 0) +
            part(over.beyond[q] ?? 0, y2);
          if (count <= best.count) continue;
          best = { count, x1, x2, y1, y2 };
          if (count >= most) return best;
        }
      }
    }
  }
  return best;
}

type Put = (left: number, top: number, upright: boolean) => void;

/** Puts every rectangle of a solved room down. */
function lay(instance: Instance, across: number, down: number, put: Put): void {
  if (down > across)
    return lay(instance, down, across, (left, top, upright) => put(top, left, !upright));
  const count = solve(instance, across, down);
  if (count === 0) return;
  const { a, b, lengths } = instance;
  const [x, y] = [lengths[across] ?? 0, lengths[down] ?? 0];
  for (const upright of [true, false]) {
    const [w, h] = upright ? [a, b] : [b, a];
    const [columns, lines] = [Math.floor(x / w), Math.floor(y / h)];
    if (columns * lines !== count) continue;
    for (let line = 0; line < lines; line++)
      for (let column = 0; column < columns; column++) put(column * w, line * h, upright);
    return;
  }
  const cuts = pinwheel({ ...instance, looked: 0 }, [across, down], {
    least: count - 1,
    most: count,
  });
  if (cuts.count < count) throw new Error('A solved room was not found again.');
  const at = (position: number): number => lengths[position] ?? 0;
  const [x1, x2, y1, y2] = [at(cuts.x1), at(cuts.x2), at(cuts.y1), at(cuts.y2)];
  const block = (left: number, top: number, right: number, bottom: number): void =>
    lay(
      instance,
      reached(lengths, right - left),
      reached(lengths, bottom - top),
      (dx, dy, upright) => put(left + dx, top + dy, upright),
    );
  block(0, y1, x1, y);
  block(x1, y2, x, y);
  block(x1, y1, x2, y2);
  block(0, 0, x2, y1);
  block(x2, 0, x, y2);
}
