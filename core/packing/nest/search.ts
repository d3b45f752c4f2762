import type { Random } from '../../base/index.ts';
import type { Board } from './board.ts';
import type { Turned } from './turned.ts';

const { min, max, floor, abs } = Math;

/** A place in cells, with what lies beneath and how much it is wanted among others that are as free. */
export interface Found {
  readonly turn: number;
  readonly x: number;
  readonly y: number;
  readonly under: number;
  readonly pull: number;
}

/** Where things are drawn to when several places are as free: the sum of both coordinates, weighed. */
export interface Pull {
  readonly x: number;
  readonly y: number;
}

/** A part of a board, in cells: so far to the sides of a place. */
export interface Within {
  readonly x: number;
  readonly y: number;
  readonly by: number;
}

/** Which places are looked at. */
export interface Look {
  /** Cells between two places that are looked at. */
  readonly step: number;
  readonly pull: Pull;
  readonly random: Random;
  /** Places that cover more than that are passed by. */
  readonly most?: number;
  /** Only where its middle is so far around a place, in cells. */
  readonly within?: Within;
  /** Only so far around a place, in cells. */
  readonly near?: Within;
  /** Passes by places at which the outline's deepest cell is nearer to what lies there than it can be. */
  readonly clear?: boolean;
}

/** How many places of the first look are followed, and how many of those near a place. */
const KEPT = 6;
const KEPT_NEAR = 1;
/** By how many cells an outline that may cover a little may be nearer. */
const NEARER = 2;

const better = (one: Found, other: Found): boolean =>
  one.under < other.under || (one.under === other.under && one.pull < other.pull);

/** The best few places by a first look, then each followed downhill; the best one first. */
export function bestPlaces(
  board: Board,
  turns: readonly (readonly [number, Turned])[],
  look: Look,
): Found[] {
  const kept: Found[] = [];
  for (const one of turns) scan(board, one, look, kept);
  return kept
    .flatMap((start) => {
      const turned = turns.find(([turn]) => turn === start.turn)?.[1];
      if (!turned) return [];
      const underAt = onBoard(board, turned);
      const exact = { ...start, under: underAt(start.x, start.y, Infinity) };
      return [downhill(underAt, turned, exact, { ...look, step: look.step >> 1 || 1 })];
    })
    .sort((one, other) => one.under - other.under || one.pull - other.pull);
}

function scan(
  board: Board,
  [turn, { across, down, someEnds, barred, mask, pole }]: readonly [number, Turned],
  { step, pull, random, within, most = Infinity, clear, ...look }: Look,
  kept: Found[],
): void {
  const near = within
    ? {
        x: Math.round(within.x - (mask.left + mask.right) / 2),
        y: Math.round(within.y - (mask.top + mask.bottom) / 2),
        by: Math.ceil(within.by),
      }
    : look.near;
  const left = near ? max(0, near.x - near.by) : 0;
  const top = near ? max(0, near.y - near.by) : 0;
  const right = near ? min(across, near.x + near.by + 1) : across;
  const bottom = near ? min(down, near.y + near.by + 1) : down;
  const skewX = left + floor(random.next() * min(step, right - left));
  const skewY = top + floor(random.next() * min(step, bottom - top));
  const count = look.near ? KEPT_NEAR : KEPT;
  const clearance = clear ? board.clearance() : undefined;
  const { cols } = board;
  const deepest = pole.y * cols + pole.x;
  for (let y = skewY; y < bottom; y += step)
    for (let x = skewX; x < right; x += step) {
      if (clearance && (clearance[y * cols + x + deepest] as number) < pole.deep - NEARER) continue;
      if (barred?.[y * across + x]) continue;
      const worst = kept.length < count ? most : (kept[count - 1] as Found).under;
      const under = board.under(someEnds, x, y, worst);
      if (under > worst) continue;
      const found = { turn, x, y, under, pull: x * pull.x + y * pull.y };
      if (kept.length === count && !better(found, kept[count - 1] as Found)) continue;
      let at = kept.length;
      while (at > 0 && better(found, kept[at - 1] as Found)) at--;
      kept.splice(at, 0, found);
      if (kept.length > count) kept.pop();
    }
}

/** What lies under an outline at a place; may stop counting beyond `enough`. */
export type Under = (x: number, y: number, enough: number) => number;

/** What lies under an outline on a board. */
export const onBoard =
  (board: Board, { ends }: Turned): Under =>
  (x, y, enough) =>
    board.under(ends, x, y, enough);

/** Follows a place to a better neighbour as long as there is one. */
export function downhill(
  underAt: Under,
  { across, down, barred }: Turned,
  start: Found,
  { step, pull }: { step: number; pull: Pull },
): Found {
  let best = start;
  for (let by = step; by >= 1; by >>= 1) {
    for (let moved = true; moved;) {
      moved = false;
      for (let side = 0; side < 4; side++) {
        const x = best.x + (side === 0 ? -by : side === 1 ? by : 0);
        const y = best.y + (side === 2 ? -by : side === 3 ? by : 0);
        if (x < 0 || y < 0 || x >= across || y >= down || barred?.[y * across + x]) continue;
        const under = underAt(x, y, best.under);
        const found = { turn: best.turn, x, y, under, pull: x * pull.x + y * pull.y };
        if (!better(found, best)) continue;
        best = found;
        moved = true;
      }
    }
  }
  return best;
}

/** The best place near where a copy lies, by what is under it there. */
export function bestNear(
  underAt: Under,
  turned: Turned,
  start: Found,
  { step, by }: { step: number; by: number },
): Found {
  const { across, down, barred } = turned;
  let best = start;
  for (let y = max(0, start.y - by); y <= min(down - 1, start.y + by); y += step)
    for (let x = max(0, start.x - by); x <= min(across - 1, start.x + by); x += step) {
      if (barred?.[y * across + x]) continue;
      const under = underAt(x, y, best.under);
      const far = abs(x - start.x) + abs(y - start.y);
      const found = { turn: start.turn, x, y, under, pull: far };
      if (better(found, best)) best = found;
    }
  return downhill(underAt, turned, { ...best, pull: 0 }, { step: step >> 1 || 1, pull: NONE });
}

const NONE: Pull = { x: 0, y: 0 };
