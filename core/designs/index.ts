import { designOf, type DesignName } from './families.ts';
import type { Designed } from './given.ts';
import { designLabel, type LabelGiven } from './label.ts';
import type { LabelRooms } from './label-rooms.ts';

/** A design in the rooms of a label, with what it says, its colours, typefaces and picture. */
export function makeDesign(name: DesignName, given: LabelGiven, rooms: LabelRooms): Designed {
  return designLabel(designOf(name), given, rooms);
}

export {
  DESIGN_FAMILIES,
  designsFor,
  type DesignFamily,
  type DesignName,
  type DesignSearch,
} from './families.ts';
export {
  DESIGN_COLORS,
  DESIGN_FACES,
  type DesignColors,
  type DesignFaces,
  type DesignGiven,
  type Designed,
} from './given.ts';
export type { LabelGiven } from './label.ts';
export { labelRooms, type LabelRooms } from './label-rooms.ts';
export { fieldsOfUse, LABEL_USES, type LabelUse } from './label-uses.ts';
export { roomOf, type Room } from './room.ts';
export { DETAILS } from './shared-room.ts';
export { houseStyleSchema, NO_HOUSE_STYLE, type HouseStyle } from './house-style.ts';
