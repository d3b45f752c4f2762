import { latestFor } from '../../base/index.ts';
import {
  boxOf,
  clockwise,
  largestRing,
  mapRing,
  offsetRegion,
  rotation,
  simplifiedRing,
  type Box,
  type Point,
  type Ring,
} from '../../geometry/index.ts';
import type { Board } from './board.ts';
import { deepestCell, maskOf, type Cover, type Mask } from './mask.ts';

/** An outline that may be placed. */
export interface NestKind {
  /** Its outer outline about its own origin, mm. */
  readonly ring: Ring;
  /** How it may be turned, degrees. */
  readonly angles: readonly number[];
}

/** Where outlines may lie. */
export interface NestRoom {
  readonly area: Box;
  /** What may not be touched, and needs no gap. */
  readonly taken: readonly Box[];
  /** Outlines that lie there and stay. */
  readonly fixed?: readonly Ring[];
  /** Between outlines, mm. */
  readonly gap: number;
}

/** The grid of a room. Its first cell begins so far outside the area as half a gap reaches. */
export interface Grid {
  readonly room: NestRoom;
  /** mm */
  readonly cell: number;
  /** How far an outline is grown, mm. */
  readonly reach: number;
  readonly cover: Cover;
}

/** An outline turned one way: what it covers with half the gap around it, and where it may stand. */
export interface Turned {
  readonly angle: number;
  readonly mask: Mask;
  /** The mask's deepest cell. */
  readonly pole: ReturnType<typeof deepestCell>;
  readonly ends: Int32Array;
  /** Of some rows only, for a first look. */
  readonly someEnds: Int32Array;
  /** The places, from 0, in cells. */
  readonly across: number;
  readonly down: number;
  /** Places that would touch what is taken, row by row; undefined when there are none. */
  readonly barred: Uint8Array | undefined;
  /** From a place to the outline's own origin, mm. */
  readonly origin: Point;
}

/** Outlines finer than that are made plainer, and grown by as much. */
const PLAINER = 0.03;
const ARCS = 0.003; // by which the arcs of a grown outline may fall short
const SOME_ROWS = 4;
const EPS = 1e-7;

/** How far outlines of a room are grown. */
export const reachOf = (gap: number): number => (gap > 0 ? gap / 2 + ARCS : 0) + PLAINER;

/** How many cells a room has across and down. */
export function gridSize({ room: { area }, cell, reach }: Grid): { cols: number; rows: number } {
  const count = (length: number): number => Math.ceil((length + 2 * reach) / cell) + 2;
  return { cols: count(area.right - area.left), rows: count(area.bottom - area.top) };
}

/** How many places an outline has across and down by its size alone. */
function placesOf(box: Box, { room: { area }, cell }: Grid): { across: number; down: number } {
  const places = (length: number, side: number): number =>
    Math.floor((length - side) / cell + 1e-6) + 1;
  return {
    across: places(area.right - area.left, box.right - box.left),
    down: places(area.bottom - area.top, box.bottom - box.top),
  };
}

/** Whether an outline turned by an angle is small enough for the room. */
export function isInRoom(ring: Ring, angle: number, grid: Grid): boolean {
  const box = boxOf(mapRing(ring, rotation(angle)));
  if (!box) return false;
  const { across, down } = placesOf(box, grid);
  return across >= 1 && down >= 1;
}

/** An outline turned by an angle; undefined when it has no place in the room. */
export function turnedOutline(
  ring: Ring,
  angle: number,
  { grid, board }: { grid: Grid; board: Board },
): Turned | undefined {
  const { area } = grid.room;
  const turned = mapRing(ring, rotation(angle));
  const box = boxOf(turned);
  if (!box) return undefined;
  const { across, down } = placesOf(box, grid);
  if (across < 1 || down < 1) return undefined;
  const grown = mapRing(grownRing(ring, grid.reach), rotation(angle));
  const rim = boxOf(grown) ?? box;
  // Growing is exact to a ten-thousandth, and nothing may lie before the first cell.
  const shift = {
    x: Math.max(grid.reach - box.left, -rim.left),
    y: Math.max(grid.reach - box.top, -rim.top),
  };
  const moved = (points: Ring): Ring =>
    points.map(({ x, y }) => ({ x: x + shift.x, y: y + shift.y }));
  const mask = maskOf(moved(grown), grid.cell, grid.cover);
  const taken = takenRuns(grid);
  const bare = taken.length ? maskOf(moved(turned), grid.cell, grid.cover) : mask;
  return {
    angle,
    mask,
    pole: deepestCell(mask),
    ends: board.ends(mask),
    someEnds: board.ends(mask, SOME_ROWS),
    across,
    down,
    barred: barredPlaces(
      [
        [bare, taken],
        [mask, fixedRuns(grid)],
      ],
      { across, down },
    ),
    origin: { x: area.left - grid.reach + shift.x, y: area.top - grid.reach + shift.y },
  };
}

/** The outline with plainer sides, grown on all sides: once for all ways to turn it and all grids. */
const grownRing = latestFor((ring: Ring, by: number): Ring =>
  largestRing(offsetRegion([clockwise(simplifiedRing(ring, PLAINER))], by)),
);

/** Cells of a room in a row, from one column to behind another. */
interface Run {
  readonly row: number;
  readonly from: number;
  readonly behind: number;
}

/** The cells of what is taken. */
function takenRuns({ room: { area, taken }, cell, reach }: Grid): Run[] {
  return taken.flatMap((box) => {
    const from = Math.floor((box.left - area.left + reach) / cell + EPS);
    const behind = Math.ceil((box.right - area.left + reach) / cell - EPS);
    const top = Math.floor((box.top - area.top + reach) / cell + EPS);
    const bottom = Math.ceil((box.bottom - area.top + reach) / cell - EPS);
    return Array.from({ length: Math.max(0, bottom - top) }, (_, at) => ({
      row: top + at,
      from,
      behind,
    }));
  });
}

/** The cells of the outlines that stay, with half the gap around each. */
function fixedRuns({ room: { area, fixed = [] }, cell, reach, cover }: Grid): Run[] {
  return fixed.flatMap((ring) => {
    const moved = ring.map(({ x, y }) => ({ x: x - area.left + reach, y: y - area.top + reach }));
    const { runs } = maskOf(grownRing(moved, reach), cell, cover);
    return Array.from({ length: runs.length / 3 }, (_, at) => ({
      row: runs[3 * at] as number,
      from: runs[3 * at + 1] as number,
      behind: runs[3 * at + 2] as number,
    }));
  });
}

/** Places at which one of the masks meets cells that are kept from it; undefined when there are none. */
function barredPlaces(
  kept: readonly (readonly [Mask, readonly Run[]])[],
  { across, down }: { across: number; down: number },
): Uint8Array | undefined {
  const changes = new Map<number, Int32Array>();
  for (const [mask, cells] of kept)
    for (const { row, from: left, behind } of cells) {
      const last = Math.min(down - 1, row - mask.top);
      for (let y = Math.max(0, row - mask.bottom + 1); y <= last; y++) {
        const change = changes.get(y) ?? new Int32Array(across + 1);
        changes.set(y, change);
        const at = row - y - mask.top;
        const end = mask.rowStarts[at + 1] as number;
        for (let run = mask.rowStarts[at] as number; run < end; run += 3) {
          const from = Math.max(0, left - (mask.runs[run + 2] as number) + 1);
          const to = Math.min(across, behind - (mask.runs[run + 1] as number));
          if (from >= to) continue;
          change[from] = (change[from] as number) + 1;
          change[to] = (change[to] as number) - 1;
        }
      }
    }
  if (!changes.size) return undefined;
  const barred = new Uint8Array(across * down);
  for (const [y, change] of changes)
    for (let x = 0, sum = 0; x < across; x++) {
      sum += change[x] as number;
      if (sum > 0) barred[y * across + x] = 1;
    }
  return barred;
}
