import type { Point } from '../geometry/index.ts';
import type { CutKind } from '../shape/index.ts';
import type { Material } from '../stock/index.ts';
import { knifeRings, type OrderedCut } from './order.ts';

/** A part of a run of the knife: along a line, or lifted from one to the next. */
export interface KnifeMove {
  /** Undefined while the knife is lifted. */
  readonly kind?: CutKind;
  readonly points: readonly Point[];
  /** When it begins and ends, seconds from the start. */
  readonly from: number;
  readonly to: number;
}

const TRAVEL = 250; // mm a second, lifted
const LIFT = 0.18; // seconds to lift and lower the knife
const SPEED = 100; // mm a second where the material says nothing

/** What the knife does, move by move, with times by the material's speeds and passes: an estimate. */
export function knifeMoves(cuts: readonly OrderedCut[], cut: Material['cut']): KnifeMove[] {
  const moves: KnifeMove[] = [];
  let at: Point = { x: 0, y: 0 };
  let time = 0;
  const go = (points: readonly Point[], takes: number, kind?: CutKind): void => {
    moves.push({ points, from: time, to: time + takes, ...(kind ? { kind } : {}) });
    time += takes;
    at = points[points.length - 1] ?? at;
  };
  for (const one of cuts) {
    const { speed, passes } = cut[one.kind] ?? { speed: SPEED, passes: 1 };
    for (const ring of knifeRings(one)) {
      const [start] = ring;
      if (!start) continue;
      const line = one.open ? ring : [...ring, start];
      go([at, start], LIFT + lengthOf([at, start]) / TRAVEL);
      for (let pass = 0; pass < passes; pass++)
        go(
          pass % 2 && one.open ? [...line].reverse() : line,
          lengthOf(line) / (speed ?? SPEED),
          one.kind,
        );
    }
  }
  return moves;
}

/** How long the knife takes, seconds. */
export const knifeTime = (moves: readonly KnifeMove[]): number => moves[moves.length - 1]?.to ?? 0;

/** Where the knife is at a time, and how far along its move, as a share. */
export function knifeAt(
  moves: readonly KnifeMove[],
  time: number,
): { move: number; share: number; point: Point } {
  let move = moves.findIndex(({ to }) => to > time);
  if (move < 0) move = moves.length - 1;
  const found = moves[move];
  if (!found) return { move: 0, share: 0, point: { x: 0, y: 0 } };
  const share = Math.min(1, Math.max(0, (time - found.from) / (found.to - found.from || 1)));
  return { move, share, point: along(found.points, share) };
}

function lengthOf(points: readonly Point[]): number {
  return points.reduce((sum, { x, y }, at) => {
    const before = points[at - 1];
    return before ? sum + Math.hypot(x - before.x, y - before.y) : sum;
  }, 0);
}

function along(points: readonly Point[], share: number): Point {
  let left = share * lengthOf(points);
  for (let at = 1; at < points.length; at++) {
    const [from, to] = [points[at - 1] as Point, points[at] as Point];
    const length = Math.hypot(to.x - from.x, to.y - from.y);
    if (left <= length && length > 0) {
      const part = left / length;
      return { x: from.x + (to.x - from.x) * part, y: from.y + (to.y - from.y) * part };
    }
    left -= length;
  }
  return points[points.length - 1] ?? { x: 0, y: 0 };
}
