import type { Designed } from './given.ts';
import { leafRing, love, party, toFrom } from './kinds/festive.ts';
import { awning, gingham, meadow, night, pond, terrazzo, tweed } from './kinds/patterned.ts';
import {
  apothecary,
  botanical,
  cornered,
  halves,
  quiet,
  ribbon,
  sunrise,
  ticketed,
} from './kinds/plain.ts';
import { beaded, burstSeal, laurelled, monogram, roped, seal, wreathed } from './kinds/seals.ts';
import { designLabel, type LabelGiven } from './label.ts';
import type { LabelRooms } from './label-rooms.ts';
import type { Design } from './layout.ts';
import type { Room } from './room.ts';

/** All designs, in the order in which they are offered; adding one touches its file and this list. */
const DESIGNS = {
  seal,
  quiet,
  gingham,
  botanical,
  laurelled,
  apothecary,
  ribbon,
  wreathed,
  terrazzo,
  beaded,
  halves,
  burst: burstSeal,
  tweed,
  leaves: leafRing,
  monogram,
  party,
  awning,
  cornered,
  sunrise,
  roped,
  meadow,
  love,
  pond,
  ticket: ticketed,
  night,
  gift: toFrom,
} satisfies Record<string, Design>;

export type DesignName = keyof typeof DESIGNS;

/** The names of the designs that suit a room. */
export function designsFor(room: Pick<Room, 'hollow'>): DesignName[] {
  return (Object.entries(DESIGNS) as [DesignName, Design][])
    .filter(([, design]) => !room.hollow || design.hollow)
    .map(([name]) => name);
}

/** A design in the rooms of a label, with its words, colours, typefaces and picture. */
export function makeDesign(name: DesignName, given: LabelGiven, rooms: LabelRooms): Designed {
  return designLabel(DESIGNS[name], given, rooms);
}

export {
  DESIGN_COLORS,
  DESIGN_FACES,
  type DesignColors,
  type DesignFaces,
  type DesignGiven,
  type DesignWords,
  type Designed,
} from './given.ts';
export type { LabelGiven } from './label.ts';
export { labelRooms, type LabelRooms } from './label-rooms.ts';
export { roomOf, type Room } from './room.ts';
export { houseStyleSchema, NO_HOUSE_STYLE, type HouseStyle } from './house-style.ts';
