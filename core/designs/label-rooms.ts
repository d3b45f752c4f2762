import type { EdgeShape } from '../shape/index.ts';
import {
  dividingZones,
  mainZone,
  zoneRoom,
  zonesOf,
  type Thing,
  type Zone,
  type ZoneRoom,
} from '../things/index.ts';
import { roomOf, type Room } from './room.ts';

/** A room of a label, and the zone that it is, where the label has zones. */
export interface LabelRoom {
  readonly room: Room;
  readonly zone?: Zone;
}

/** What designs stand in: the front, what is seen from behind or beside it, and spines. */
export interface LabelRooms {
  readonly edge: EdgeShape;
  readonly front: LabelRoom;
  readonly back?: LabelRoom;
  readonly spines: readonly LabelRoom[];
}

const LEAST_BACK = 12; // mm, for a text that is read

/** The rooms of a label for a thing; all of it is the front where it has no zones. */
export function labelRooms(thing: Thing, edge: EdgeShape, safe: number): LabelRooms {
  const zones = dividingZones(zonesOf(thing, edge));
  const main = mainZone(zones);
  if (!main || zones.some(({ name }) => name === 'hem'))
    return { edge, front: { room: roomOf(edge, safe + hemOf(zones, edge)) }, spines: [] };
  const inZone = (zone: Zone): LabelRoom => ({ zone, room: roomIn(zone, edge, safe) });
  const back = backOf(zones, main, edge);
  return {
    edge,
    front: inZone(main),
    ...(back ? { back: inZone(back) } : {}),
    spines: zones.filter(({ name }) => name === 'spine').map(inZone),
  };
}

/** The room of a zone about its own middle, as it is read. */
function roomIn(zone: Zone, edge: EdgeShape, safe: number): Room {
  const { width, height, bent } = zoneRoom(zone, edge);
  const own: EdgeShape = bent ? edge : { kind: 'rectangle', width, height, radius: 0 };
  return {
    edge: own,
    safe,
    centre: { x: 0, y: 0 },
    width: Math.max(1, width - 2 * safe),
    height: Math.max(1, height - 2 * safe),
    radius: undefined,
    hollow: false,
    bent,
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
