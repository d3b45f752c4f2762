import { apply, invert, placed, type Point } from '../geometry/index.ts';
import { arcPoint, type EdgeShape } from '../shape/index.ts';
import { zoneRoom, type Zone, type ZoneRoom } from '../things/index.ts';
import {
  alongEdge,
  elementSize,
  resizedElement,
  scaledElement,
  type PieceElement,
  type Repeat,
} from './elements/index.ts';

/** A zone of a label with an edge, and what its print keeps from its sides, mm. */
export interface ZoneOfPiece {
  readonly zone: Zone;
  readonly edge: EdgeShape;
  readonly safe: number;
}

const BEND = 100; // mm, until the edge says how much they are bent
/** How words fit a box that is narrower than the one they were made for. */
const SHRINKING = {
  fixed: 'shrink',
  shrink: 'shrink',
  wrap: 'wrap-shrink',
  'wrap-shrink': 'wrap-shrink',
} as const;
const LEAST = 1; // mm of room, for zones narrower than their margins

/**
 * An element as it stands in a zone: turned as that is read, bent with it, and no larger than its room. Words
 * have a narrower box, in which they shrink only where they do not fit; the rest is made smaller.
 * @param where in its middle, as near to its place as it fits, or as far from its middle as on a label of one zone
 */
export function elementInZone(
  element: PieceElement,
  { zone, edge, safe }: ZoneOfPiece,
  where: 'middle' | 'nearest' | 'as-on-label',
): PieceElement {
  const room = zoneRoom(zone, edge);
  const most = {
    width: Math.max(LEAST, room.width - 2 * safe),
    height: Math.max(LEAST, room.height - 2 * safe),
  };
  const fitted = { ...noLarger(bentAlong(element, room), most), angle: room.angle };
  const { width, height } = elementSize(fitted);
  const spare = {
    x: Math.max(0, (most.width - width) / 2),
    y: Math.max(0, (most.height - height) / 2),
  };
  const from =
    where === 'nearest'
      ? offsetInRoom(element, room, edge)
      : where === 'middle'
        ? { x: 0, y: 0 }
        : element;
  const to = { x: clamped(from.x, spare.x), y: clamped(from.y, spare.y) };
  return alongEdge({ ...fitted, ...placeInRoom(to, room, edge) }, edge);
}

/** An element that stands so far from the middle of a zone as from its own label's, turned and bent with it. */
export function elementOnZone(
  element: PieceElement,
  { zone, edge }: Pick<ZoneOfPiece, 'zone' | 'edge'>,
): PieceElement {
  const room = zoneRoom(zone, edge);
  const { angle, ...at } = placeInRoom(element, room, edge);
  const { repeat } = element;
  return alongEdge(
    {
      ...bentAlong(element, room),
      ...at,
      angle: (element.angle + angle) % 360,
      ...(repeat ? { repeat: repeatIn(repeat, room, edge) } : {}),
    },
    edge,
  );
}

/** What is drawn more than once about a point of the zone, or in steps along it. */
function repeatIn(repeat: Repeat, room: ZoneRoom, edge: EdgeShape): Repeat {
  if (repeat.kind === 'line') {
    const step = apply(placed(0, 0, room.angle), { x: repeat.dx, y: repeat.dy });
    return { ...repeat, dx: step.x, dy: step.y };
  }
  const { x, y } = placeInRoom(repeat, room, edge);
  if (repeat.kind !== 'mirror' || room.angle % 180 === 0) return { ...repeat, x, y };
  const axes = { across: 'down', down: 'across', both: 'both' } as const;
  return { ...repeat, x, y, axes: axes[repeat.axes] };
}

/** Straight words follow the bend of a room that has one. */
const bentAlong = (element: PieceElement, { bent }: ZoneRoom): PieceElement =>
  bent && element.kind === 'words' && element.path.kind === 'straight'
    ? { ...element, path: { kind: 'arc', radius: BEND, bow: 'up', edge: true } }
    : element;

const clamped = (value: number, most: number): number => Math.max(-most, Math.min(most, value));

function noLarger(
  element: PieceElement,
  most: { readonly width: number; readonly height: number },
): PieceElement {
  const { width, height } = elementSize(element);
  if (element.kind === 'words' && element.path.kind !== 'circle') {
    const narrower = width > most.width || height > most.height;
    const fits = narrower ? { ...element, fit: SHRINKING[element.fit] } : element;
    return resizedElement(fits, Math.min(width, most.width), Math.min(height, most.height));
  }
  const factor = Math.min(1, most.width / width, most.height / height);
  return factor < 1 ? scaledElement(element, factor) : element;
}

/** How far a place lies from the middle of a room along its words and across them, mm. */
export function offsetInRoom(at: Point, room: ZoneRoom, edge: EdgeShape): Point {
  if (!room.bent || edge.kind !== 'arc')
    return apply(invert(placed(room.centre.x, room.centre.y, room.angle)), at);
  const apex = arcPoint(edge, 0, edge.radius);
  const up = edge.wide === 'top' ? 1 : -1;
  const [dx, dy] = [at.x - apex.x, (apex.y - at.y) * up];
  const middle = edge.radius - edge.slant / 2;
  const turn = Math.atan2(dx, dy) - (room.angle * up * Math.PI) / 180;
  return { x: middle * turn, y: (middle - Math.hypot(dx, dy)) * up };
}

/** The place on the label that lies so far from the middle of a room, mm, and the turn of what stands upright there. */
export function placeInRoom(
  { x, y }: Point,
  room: ZoneRoom,
  edge: EdgeShape,
): Point & { angle: number } {
  if (!room.bent || edge.kind !== 'arc')
    return {
      ...apply(placed(room.centre.x, room.centre.y, room.angle), { x, y }),
      angle: room.angle,
    };
  const up = edge.wide === 'top' ? 1 : -1;
  const middle = edge.radius - edge.slant / 2;
  const along = room.angle * up + (x / middle) * (180 / Math.PI);
  return { ...arcPoint(edge, along, edge.slant / 2 + y * up), angle: along * up };
}
