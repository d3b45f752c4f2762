import {
  boxAbout,
  boxOf,
  corners,
  flatten,
  invert,
  mapRing,
  placed,
  type Affine,
  type Box,
} from '../geometry/index.ts';
import { shapePath, shapeSize, type EdgeShape } from '../shape/index.ts';
import {
  dividingZones,
  mainZone,
  zoneRoom,
  zonesOf,
  type Thing,
  type Zone,
  type ZoneRoom,
} from '../things/index.ts';
import { BEYOND, findRingRoom, largestBox, roomOf, type Room } from './room.ts';

/** A room of a label, and the zone that it is, where the label has zones. */
export interface LabelRoom {
  readonly room: Room;
  readonly zone?: Zone;
}

/** What designs stand in: the front, what is seen from behind or beside it or below its hole, and spines. */
export interface LabelRooms {
  readonly edge: EdgeShape;
  readonly front: LabelRoom;
  readonly back?: LabelRoom;
  /** Below the hole of a ring, where the front is above it. */
  readonly foot?: LabelRoom;
  readonly spines: readonly LabelRoom[];
}

const LEAST_BACK = 12; // mm, for a text that is read

/** The rooms of a label for a thing; all of it is the front where it has no zones. */
export function labelRooms(thing: Thing, edge: EdgeShape, safe: number): LabelRooms {
  const zones = dividingZones(zonesOf(thing, edge));
  const main = mainZone(zones);
  const inZone = (zone: Zone): LabelRoom => ({ zone, room: roomIn(zone, edge, safe) });
  if (!main || zones.some(({ name }) => name === 'hem')) {
    if (edge.kind === 'arc') return { edge, front: inZone(allOf(edge)), spines: [] };
    const foot = edge.kind === 'ring' ? findRingRoom(edge, safe, 1) : undefined;
    return {
      ...{ edge, front: { room: roomOf(edge, safe + hemOf(zones, edge)) }, spines: [] },
      ...(foot ? { foot: { room: foot } } : {}),
    };
  }
  const back = backOf(zones, main, edge);
  return {
    edge,
    front: inZone(main),
    ...(back ? { back: inZone(back) } : {}),
    spines: zones.filter(({ name }) => name === 'spine').map(inZone),
  };
}

/** All of a bent label as one zone. */
const allOf = (edge: Extract<EdgeShape, { kind: 'arc' }>): Zone => ({
  ...{ name: 'front', rings: flatten(shapePath(edge)), reading: 0 },
  span: { from: -edge.angle / 2, to: edge.angle / 2 },
});

/** The room of a zone about its own middle, as it is read. */
function roomIn(zone: Zone, edge: EdgeShape, safe: number): Room {
  const { width, height, bent } = zoneRoom(zone, edge);
  const own: EdgeShape = bent ? edge : { kind: 'rectangle', width, height, radius: 0 };
  const most = { width: Math.max(1, width - 2 * safe), height: Math.max(1, height - 2 * safe) };
  const isWhole = bent || edge.kind === 'rectangle';
  const { y, scale } = isWhole ? { y: 0, scale: 1 } : boxInZone(zone, { edge, safe, most });
  const whole = bent ? boxAbout({ x: 0, y: 0 }, width, height) : wholeOf(zone, edge);
  const narrow = zone.name === 'spine' ? spineRoom({ width, height }, whole, safe) : undefined;
  return {
    edge: own,
    safe,
    centre: { x: 0, y },
    width: most.width * scale,
    height: most.height * scale,
    whole,
    radius: undefined,
    hollow: false,
    zoned: true,
    bent,
    ...narrow,
  };
}

const FROM_FOLD = 0.6; // mm

/** On a spine, which is narrow, words keep from the edge as always, but come nearer to a fold. */
function spineRoom(
  { width, height }: { width: number; height: number },
  whole: Box,
  safe: number,
): Pick<Room, 'centre' | 'width' | 'height'> {
  const [above, below] = [-whole.top, whole.bottom].map((side) =>
    side > height / 2 + 0.01 ? safe : FROM_FOLD,
  );
  const [top, bottom] = [above ?? safe, below ?? safe];
  return {
    centre: { x: 0, y: (top - bottom) / 2 },
    width: Math.max(1, width - 2 * safe),
    height: Math.max(1, height - top - bottom),
  };
}

/** From the label to a room of it, about the middle of that and as it is read. */
const ontoZone = ({ centre, angle }: ZoneRoom): Affine => invert(placed(centre.x, centre.y, angle));

/** How much of a zone lies within an edge that cuts its corners or has holes. */
function boxInZone(
  zone: Zone,
  { edge, safe, most }: { edge: EdgeShape; safe: number; most: { width: number; height: number } },
): { y: number; scale: number } {
  const inward = ontoZone(zoneRoom(zone, edge));
  const rings = flatten(shapePath(edge, -safe)).map((ring) => mapRing(ring, inward));
  const found = largestBox(rings, most);
  // What is moved off the middle of its zone keeps within it.
  const room = most.height / 2 - Math.abs(found.y);
  return { ...found, scale: Math.min(found.scale, (2 * room) / most.height) };
}

/** All of a straight zone as it is read, beyond the sides that it shares with the label. */
function wholeOf(zone: Zone, edge: EdgeShape): Box {
  const room = zoneRoom(zone, edge);
  const size = shapeSize(edge);
  const label = boxOf(
    mapRing(corners(boxAbout({ x: 0, y: 0 }, size.width, size.height)), ontoZone(room)),
  );
  const { left, top, right, bottom } = boxAbout({ x: 0, y: 0 }, room.width, room.height);
  if (!label) return { left, top, right, bottom };
  const past = (side: number, own: number): number =>
    Math.abs(side - own) < 0.05 ? side + Math.sign(side) * BEYOND : side;
  return {
    left: past(left, label.left),
    top: past(top, label.top),
    right: past(right, label.right),
    bottom: past(bottom, label.bottom),
  };
}

/** Where small print goes: on the back, the last of several; or on the largest side that can be read. */
function backOf(zones: readonly Zone[], main: Zone, edge: EdgeShape): Zone | undefined {
  const size = (zone: Zone): ZoneRoom => zoneRoom(zone, edge);
  const largest = (name: Zone['name']): Zone | undefined =>
    zones
      .filter((zone) => zone !== main && zone.name === name)
      .filter((zone) => Math.min(size(zone).width, size(zone).height) >= LEAST_BACK)
      .reduce<Zone | undefined>(
        (best, zone) => (best && size(best).width > size(zone).width + 0.01 ? best : zone),
        undefined,
      );
  return largest('back') ?? largest('side') ?? largest('top');
}

/** How wide the hem around a label is, mm. */
function hemOf(zones: readonly Zone[], edge: EdgeShape): number {
  const [front, hem] = ['front', 'hem'].map((name) => zones.find((zone) => zone.name === name));
  return front && hem ? (zoneRoom(hem, edge).width - zoneRoom(front, edge).width) / 2 : 0;
}
