import { elementOnZone, type Fill, type PieceElement, type Plate } from '../piece/index.ts';
import type { EdgeShape } from '../shape/index.ts';
import { zoneRoom } from '../things/index.ts';
import type { DesignGiven, Designed } from './given.ts';
import { backPanel, spinePanel } from './kinds/panels.ts';
import type { LabelRoom, LabelRooms } from './label-rooms.ts';
import { Layout, type Design } from './layout.ts';

/** What a label is designed from: all but its room. */
export type LabelGiven = Omit<DesignGiven, 'room'>;

/** A design on a label: its name in front, small print behind, spines along their sides. */
export function designLabel(
  design: Design,
  given: LabelGiven,
  { edge, front, back, spines }: LabelRooms,
): Designed {
  const layout = new Layout({ ...given, room: front.room });
  const { ground = given.colors.ground, elements } = design.make(layout);
  const across = acrossPlate(ground, front, edge);
  const isPlain = across !== undefined || ground === null || typeof ground === 'string';
  const placed = (room: LabelRoom, made: readonly PieceElement[]): readonly PieceElement[] =>
    room.zone ? made.map((element) => onZone(element, room, edge)) : made;
  return {
    ground: across ? given.colors.ground : ground,
    elements: [
      ...(across ? placed(front, [across]) : []),
      ...placed(front, elements),
      ...(back ? placed(back, backPanel(new Layout({ ...given, room: back.room }), !isPlain)) : []),
      ...spines.flatMap((spine) =>
        placed(spine, spinePanel(new Layout({ ...given, room: spine.room }))),
      ),
    ],
  };
}

/** Rings of a straight zone are its own; those of a bent label go around all of it. */
function onZone(element: PieceElement, { zone, room }: LabelRoom, edge: EdgeShape): PieceElement {
  if (!zone) return element;
  if (element.kind !== 'plate' || !element.rim) return elementOnZone(element, { zone, edge });
  if (room.bent) return element;
  const { rim, ...plate } = element;
  void rim;
  return elementOnZone(plate, { zone, edge });
}

const BEYOND = 3; // mm of bleed, at least

/** Where the front is read across the label, a gradient for its ground is a plate of its own. */
function acrossPlate(ground: Fill | null, { zone }: LabelRoom, edge: EdgeShape): Plate | undefined {
  if (!zone || ground === null || typeof ground === 'string' || ground.kind !== 'gradient')
    return undefined;
  const { width, height, angle } = zoneRoom(zone, edge);
  if (angle % 180 === 0 || zone.span) return undefined;
  return {
    ...{ id: '', kind: 'plate', x: 0, y: 0, angle: 0, locked: false, line: null },
    shape: { kind: 'rectangle', width: width + 2 * BEYOND, height, radius: 0 },
    fill: { color: ground, opacity: 1 },
  };
}
