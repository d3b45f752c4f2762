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
import { maskOf, type Cover, type Mask } from './mask.ts';

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
  const places = (length: number, side: number): number =>
    Math.floor((length - side) / grid.cell + 1e-6) + 1;
  const across = places(area.right - area.left, box.right - box.left);
  const down = places(area.bottom - area.top, box.bottom - box.top);
  if (across < 1 || down < 1) return undefined;
  const shift = { x: grid.reach - box.left, y: grid.reach - box.top };
  const moved = turned.map(({ x, y }) => ({ x: x + shift.x, y: y + shift.y }));
  const mask = maskOf(grownRing(moved, grid.reach), grid.cell, grid.cover);
  return {
    angle,
    mask,
    ends: board.ends(mask),
    someEnds: board.ends(mask, SOME_ROWS),
    across,
    down,
    barred: barredPlaces(
      [
        [maskOf(moved, grid.cell, grid.cover), takenRuns(grid)],
        [mask, fixedRuns(grid)],
      ],
      { across, down },
    ),
    origin: { x: area.left - grid.reach + shift.x, y: area.top - grid.reach + shift.y },
  };
}

/** The outline with plainer sides, grown on all sides. */
function grownRing(ring: Ring, reach: number): Ring {
  return largestRing(offsetRegion([clockwise(simplifiedRing(ring, PLAINER))], reach));
}

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
  const width = across + 1;
  const change = new Int32Array(width * down);
  let any = false;
  for (const [{ runs }, cells] of kept)
    for (const { row, from: left, behind } of cells)
      for (let run = 0; run < runs.length; run += 3) {
        const y = row - (runs[run] as number);
        if (y < 0 || y >= down) continue;
        const from = Math.max(0, left - (runs[run + 2] as number) + 1);
        const to = Math.min(across, behind - (runs[run + 1] as number));
        if (from >= to) continue;
        change[y * width + from] = (change[y * width + from] as number) + 1;
        change[y * width + to] = (change[y * width + to] as number) - 1;
        any = true;
      }
  if (!any) return undefined;
  const barred = new Uint8Array(across * down);
  for (let y = 0; y < down; y++)
    for (let x = 0, sum = 0; x < across; x++) {
      sum += change[y * width + x] as number;
      if (sum > 0) barred[y * across + x] = 1;
    }
  return barred;
}
