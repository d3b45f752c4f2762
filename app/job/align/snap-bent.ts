import { pathData } from '../../../core/drawing/index.ts';
import { boxAbout, linesPath, type Box, type Point } from '../../../core/geometry/index.ts';
import {
  elementSize,
  offsetInRoom,
  placeInRoom,
  type PieceElement,
} from '../../../core/piece/index.ts';
import type { EdgeShape } from '../../../core/shape/index.ts';
import type { ZoneRoom } from '../../../core/things/index.ts';
import { snapMove, snapTargets, type Guide } from './snap.ts';

/** A bent zone in which something is moved. */
export interface BentZone {
  readonly room: ZoneRoom;
  readonly edge: EdgeShape;
  /** How far print keeps from the sides, mm. */
  readonly safe: number;
  /** What else stands in it. */
  readonly others: readonly PieceElement[];
}

/** What is changed of an element that is moved, and the bent lines that took hold as path data. */
export interface SnappedInBend {
  readonly changes: { readonly x: number; readonly y: number; readonly angle: number };
  readonly lines: readonly string[];
}

const SAME_ANGLE = 0.5; // degrees within which something stands upright in its zone
const STEPS = 24; // of a bent line

/**
 * Moves one element to a place in a bent zone: along and across the bend it snaps as on straight ones, and
 * what stood upright in the bend turns with it.
 */
export function snapInBend(
  element: PieceElement,
  to: Point,
  { room, edge, safe, others }: BentZone,
  reach: number,
): SnappedInBend {
  const boxOf = (one: PieceElement, at: Point = one): Box => {
    const { width, height } = elementSize(one);
    return boxAbout(offsetInRoom(at, room, edge), width, height);
  };
  const targets = snapTargets(
    { ...room, safe },
    others.map((one) => boxOf(one)),
  );
  const { dx, dy, guides } = snapMove(boxOf(element, to), { dx: 0, dy: 0 }, targets, reach);
  const offset = offsetInRoom(to, room, edge);
  const { x, y, angle } = placeInRoom({ x: offset.x + dx, y: offset.y + dy }, room, edge);
  const upright = placeInRoom(offsetInRoom(element, room, edge), room, edge).angle;
  const off = ((((element.angle - upright) % 360) + 540) % 360) - 180;
  return {
    changes: { x, y, angle: Math.abs(off) < SAME_ANGLE ? angle : element.angle },
    lines: guides.map((guide) => bentLine(guide, room, edge)),
  };
}

/** A line along or across a bent zone from side to side. */
function bentLine({ axis, at }: Guide, room: ZoneRoom, edge: EdgeShape): string {
  const points = Array.from({ length: STEPS + 1 }, (_, step) => {
    const share = step / STEPS - 0.5;
    const along =
      axis === 'x' ? { x: at, y: share * room.height } : { x: share * room.width, y: at };
    return placeInRoom(along, room, edge);
  });
  return pathData(linesPath([points]));
}
