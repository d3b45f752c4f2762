import { boxOfRings, isInside, type Point } from '../geometry/index.ts';
import { arcPoint, type EdgeShape } from '../shape/index.ts';
import type { Zone, ZoneName } from './flat.ts';

/** The room of a zone as what is read in it sees it. */
export interface ZoneRoom {
  /** Its middle, about that of the label, mm. */
  readonly centre: Point;
  /** Along the words and across them, mm; of a bent zone along its middle. */
  readonly width: number;
  readonly height: number;
  /** Degrees by which its words are turned. */
  readonly angle: number;
  /** Whether they follow the bend of the label. */
  readonly bent: boolean;
}

const UNREAD: readonly ZoneName[] = ['overlap', 'flap', 'hub', 'hem'];

/** Whether a zone is seen on the thing, so that something can be read in it. */
export const isReadable = ({ name }: Zone): boolean => !UNREAD.includes(name);

/** The room of a zone on a label of an edge. */
export function zoneRoom({ rings, reading, span }: Zone, edge: EdgeShape): ZoneRoom {
  if (span && edge.kind === 'arc') {
    const middle = (span.from + span.to) / 2;
    const radius = edge.radius - edge.slant / 2;
    return {
      centre: arcPoint(edge, middle, edge.slant / 2),
      width: (radius * (span.to - span.from) * Math.PI) / 180,
      height: edge.slant,
      angle: edge.wide === 'top' ? middle : -middle,
      bent: true,
    };
  }
  const box = boxOfRings(rings) ?? { left: 0, top: 0, right: 0, bottom: 0 };
  const [across, down] = [box.right - box.left, box.bottom - box.top];
  const lies = reading % 180 !== 0;
  return {
    centre: { x: (box.left + box.right) / 2, y: (box.top + box.bottom) / 2 },
    width: lies ? down : across,
    height: lies ? across : down,
    angle: reading,
    bent: false,
  };
}

/** The zone in which a point of the label lies, the first where it lies in several. */
export const zoneAt = (zones: readonly Zone[], point: Point): Zone | undefined =>
  zones.find(({ rings }) => isInside(point, rings));

/** The zone that is looked at first: the front, or else the largest that is read. */
export function mainZone(zones: readonly Zone[]): Zone | undefined {
  const readable = zones.filter(isReadable);
  const size = ({ rings }: Zone): number => {
    const box = boxOfRings(rings);
    return box ? (box.right - box.left) * (box.bottom - box.top) : 0;
  };
  return (
    readable.find(({ name }) => name === 'front') ??
    readable.reduce<Zone | undefined>(
      (best, zone) => (best && size(best) >= size(zone) ? best : zone),
      undefined,
    )
  );
}

/**
 * The zones that divide a label: none where all of it is one, and where front and back are two labels. A hub
 * is no part of it.
 */
export function dividingZones(zones: readonly Zone[]): readonly Zone[] {
  const own = zones.filter(({ name }) => name !== 'hub');
  const places = new Set(own.map(({ rings }) => JSON.stringify(boxOfRings(rings))));
  return places.size < 2 ? [] : own;
}
