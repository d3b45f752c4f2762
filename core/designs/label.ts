import { elementOnZone, type Fill, type PieceElement, type Plate } from '../piece/index.ts';
import { shapeSize, type EdgeShape } from '../shape/index.ts';
import { zoneRoom } from '../things/index.ts';
import type { DesignGiven, Designed } from './given.ts';
import { detailsPanel, footPanel, rimPanel, spinePanel } from './panels.ts';
import type { LabelRoom, LabelRooms } from './label-rooms.ts';
import { BEYOND, type Room } from './room.ts';
import type { Design } from './design.ts';
import { Layout } from './layout.ts';
import { hasDetails, sharedRoom } from './shared-room.ts';

/** What a label is designed from: all but its room. */
export type LabelGiven = Omit<DesignGiven, 'room'>;

/**
 * A design on a label: its name in front, what is read closely behind, or beside it where the label has
 * one zone, spines along their sides.
 */
export function designLabel(design: Design, given: LabelGiven, rooms: LabelRooms): Designed {
  const { edge, back, foot, spines } = rooms;
  const isShared = !back && !foot && !rooms.front.room.hollow && hasDetails(given.says);
  const shared = isShared ? sharedRoom(rooms.front.room, given.says) : undefined;
  const front = shared ? { ...rooms.front, room: shared.main } : rooms.front;
  const layout = new Layout({ ...(foot ? withoutMaker(given) : given), room: front.room });
  const made = design.make(layout);
  const ground = made.ground === undefined ? given.colors.ground : made.ground;
  const across = acrossPlate(ground, front, edge);
  const isPlain = across !== undefined || ground === null || typeof ground === 'string';
  const placed = (room: LabelRoom, elements: readonly PieceElement[]): readonly PieceElement[] =>
    room.zone ? elements.map((element) => onZone(element, room, edge)) : elements;
  const panel = (
    room: LabelRoom | undefined,
    make: (l: Layout, covered: boolean) => readonly PieceElement[],
  ): readonly PieceElement[] =>
    room
      ? placed(
          room,
          // Blocks of colour keep to the zone of their design.
          make(
            new Layout({ ...given, colors: made.colors ?? given.colors, room: room.room }),
            !isPlain || (made.blocks === true && !(room.room.zoned && room.zone !== front.zone)),
          ),
        )
      : [];
  return {
    ground: across ? given.colors.ground : ground,
    elements: [
      ...(across ? placed(front, [across]) : []),
      ...placed(front, front.room.hollow ? rimPanel(layout) : made.elements),
      ...panel(back, (l, covered) => detailsPanel(l, { covered, titled: true, signed: true })),
      ...panel(foot, footPanel),
      ...panel(
        shared && { ...front, room: withinFrame(shared.details, made.elements) },
        (l, covered) => detailsPanel(l, { covered, titled: false, signed: false }),
      ),
      ...spines.flatMap((spine) => panel(spine, spinePanel)),
    ],
  };
}

const FRAME = 0.055; // of the smaller side, for a frame along the edge and what keeps from it

/** A room at the end of another, within the frame that a design draws along the edge. */
function withinFrame(room: Room, elements: readonly PieceElement[]): Room {
  if (!elements.some((one) => one.kind === 'plate' && one.rim)) return room;
  const { edge, centre, width, height } = room;
  const size = shapeSize(edge);
  const by = FRAME * Math.min(size.width, size.height);
  const isBeside = centre.x > centre.y;
  return {
    ...room,
    centre: isBeside ? { ...centre, x: centre.x - by / 2 } : { ...centre, y: centre.y - by / 2 },
    width: width - (isBeside ? by : 2 * by),
    height: height - (isBeside ? 2 * by : by),
  };
}

/** Below the hole of a ring stands who made it. */
function withoutMaker(given: LabelGiven): LabelGiven {
  const { maker, ...says } = given.says;
  void maker;
  return { ...given, says };
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
