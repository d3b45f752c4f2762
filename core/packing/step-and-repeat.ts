import { boxAbout, boxesMeet, boxWithin, grown, type Box, type Point } from '../geometry/index.ts';

/** The outline that is repeated, mm. */
export interface Repeated {
  readonly width: number;
  readonly height: number;
  /** A circle keeps out of corners less than its box does. */
  readonly round: boolean;
  /** An oval that is no circle. */
  readonly oval?: boolean;
}

/** The room in which copies are laid. */
export interface Room {
  readonly area: Box;
  /** What may not be touched, and needs no gap: keep-clear zones and what lies there already. */
  readonly taken: readonly Box[];
  /** Between copies, edge to edge, mm. */
  readonly gap: number;
}

/** A copy by its centre; `angle` is 0 or 90. */
export interface Spot extends Point {
  readonly angle: number;
}

/** What a copy keeps others out of: its box with the gap around it. */
export function reserved(spot: Spot, { width, height }: Repeated, gap: number): Box {
  const lying = spot.angle === 90;
  return grown(boxAbout(spot, lying ? height : width, lying ? width : height), gap);
}

const MOST_STARTS = 24;
/** Enough to try where a few copies suffice. */
const FEW_STARTS = 8;

/**
 * Repeats an outline in rows and columns, upright or (if it may be turned) lying, whichever gives
 * more. The grid is tried flush to each side of the area, in its middle, and flush to what is
 * taken; places that meet something taken are left out.
 * @param enough how many are wanted at most: the first grid that has them will do
 * @returns the centres, row by row
 */
export function stepAndRepeat(
  shape: Repeated,
  room: Room,
  mayTurn: boolean,
  enough = Infinity,
): Spot[] {
  const upright = bestGrid(shape, room, { angle: 0, enough });
  if (!mayTurn || shape.width === shape.height || upright.length >= enough) return upright;
  const turned = { ...shape, width: shape.height, height: shape.width };
  const lying = bestGrid(turned, room, { angle: 90, enough });
  return lying.length > upright.length ? lying : upright;
}

function bestGrid(
  shape: Repeated,
  room: Room,
  { angle, enough }: { angle: number; enough: number },
): Spot[] {
  const { area, taken, gap } = room;
  const most = enough === Infinity ? MOST_STARTS : FEW_STARTS;
  const across = starts(area.left, area.right, shape.width, {
    gap,
    taken: taken.map(({ left, right }) => [left, right] as const),
  }).slice(0, most);
  const down = starts(area.top, area.bottom, shape.height, {
    gap,
    taken: taken.map(({ top, bottom }) => [top, bottom] as const),
  }).slice(0, most);
  let best: Spot[] = [];
  for (const top of down) {
    const rows = rowsFrom(top, shape, room);
    for (const left of across) {
      const spots = grid(shape, { area, gap, rows }, { left, angle });
      if (spots.length > best.length) best = spots;
      if (best.length >= enough) return best;
    }
  }
  return best;
}

/** A row of cells, with what is taken at its height. */
interface Row {
  readonly top: number;
  readonly bottom: number;
  readonly taken: readonly Box[];
}

function rowsFrom(first: number, { height }: Repeated, { area, taken, gap }: Room): Row[] {
  const rows: Row[] = [];
  for (let top = first; top + height <= area.bottom + 1e-6; top += height + gap) {
    const bottom = top + height;
    const reaches = (box: Box): boolean => box.top < bottom && box.bottom > top;
    rows.push({ top, bottom, taken: taken.filter(reaches) });
  }
  return rows;
}

/** Where a row of cells may start, the middle first, within one pitch of the near side. */
function starts(
  near: number,
  far: number,
  side: number,
  { gap, taken }: { gap: number; taken: readonly (readonly [number, number])[] },
): number[] {
  const pitch = side + gap;
  const count = Math.floor((far - near + gap + 1e-9) / pitch);
  if (count < 1) return [];
  const used = count * pitch - gap;
  const flush = taken.flatMap(([low, high]) => [high, low - side]);
  const wanted = [near + (far - near - used) / 2, near, far - used, ...flush];
  const folded = wanted.map((start) => {
    const over = (start - near) % pitch;
    return near + (over < -1e-9 ? over + pitch : Math.max(0, over));
  });
  const distinct: number[] = [];
  for (const start of folded) {
    if (!distinct.some((known) => Math.abs(known - start) < 1e-6)) distinct.push(start);
  }
  return distinct;
}

function grid(
  { width, height, round }: Repeated,
  { area, gap, rows }: { area: Box; gap: number; rows: readonly Row[] },
  { left, angle }: { left: number; angle: number },
): Spot[] {
  const spots: Spot[] = [];
  for (const { top, bottom, taken } of rows) {
    for (let x = left; x + width <= area.right + 1e-6; x += width + gap) {
      const cell = { left: x, top, right: x + width, bottom };
      if (!boxWithin(cell, area)) continue;
      const centre = { x: x + width / 2, y: top + height / 2 };
      if (round ? isClear(centre, width / 2, taken) : isFree(cell, taken))
        spots.push({ ...centre, angle });
    }
  }
  return spots;
}

// These two are asked so often that they are plain loops.

function isFree(cell: Box, taken: readonly Box[]): boolean {
  for (const box of taken) if (boxesMeet(cell, box)) return false;
  return true;
}

function isClear(centre: Point, radius: number, taken: readonly Box[]): boolean {
  for (const box of taken) if (distanceToBox(centre, box) < radius - 1e-6) return false;
  return true;
}

/** From a place to a box, 0 inside it, mm. */
export function distanceToBox({ x, y }: Point, box: Box): number {
  return Math.hypot(
    Math.max(box.left - x, 0, x - box.right),
    Math.max(box.top - y, 0, y - box.bottom),
  );
}
