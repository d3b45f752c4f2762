import { isNamed, type LabelField, type LabelSays } from '../piece/index.ts';
import { MM_PER_PT } from '../units/index.ts';
import type { Room } from './room.ts';

/** What is read closely: it stands behind what is seen from afar, or beside it. */
export const DETAILS = [
  'ingredients',
  'use',
  'warnings',
  'small',
  'amount',
  'best-before',
  'batch',
  'price',
  'code',
] as const satisfies readonly LabelField[];

/** Whether a label says anything that is read closely. */
export const hasDetails = (says: LabelSays): boolean =>
  DETAILS.some((field) => (says[field] ?? '').trim() !== '');

const USUAL = 6.5; // pt of small print
/** How wide a letter of small print is, about, and how high a line, em. */
export const LETTER = 0.56;
export const LINE = 1.25;
const LEAST_SHARE = 0.26;
const MOST_SHARE = 0.52;
const OF_CODE = 260; // mm² that a code takes
const WIDE = 1.6;

/** The room of a label with one zone, divided: for what is seen from afar, and for what is read closely. */
export function sharedRoom(room: Room, says: LabelSays): { main: Room; details: Room } {
  const em = USUAL * MM_PER_PT;
  const letters = DETAILS.filter((field) => field !== 'code').reduce((sum, field) => {
    const { length } = (says[field] ?? '').trim();
    return sum + (length && length + (isNamed(field) ? 14 : 4));
  }, 0);
  const wanted = letters * LETTER * LINE * em ** 2 + ((says.code ?? '').trim() ? OF_CODE : 0);
  const share = Math.min(
    MOST_SHARE,
    Math.max(LEAST_SHARE, (1.25 * wanted) / (room.width * room.height)),
  );
  const isRound = room.radius !== undefined;
  const own = { ...room, radius: undefined };
  if (!isRound && (room.bent || room.width / room.height > WIDE))
    return {
      main: part(own, { x: -share / 2, y: 0, w: 0.96 - share, h: 1 }),
      details: part(own, { x: 0.5 - share / 2, y: 0, w: share * 0.96, h: 1 }),
    };
  // The lowest part of a round room is narrower than its box.
  const [main, foot] = isRound ? [0.92, 0.72] : [1, 1];
  return {
    main: part(own, { x: 0, y: -share / 2 - 0.02, w: main, h: 0.94 - share }),
    details: part(own, { x: 0, y: 0.5 - share / 2, w: foot, h: share * 0.94 }),
  };
}

/** A part of a room, by shares of its width and height from its middle. */
function part(room: Room, { x, y, w, h }: Readonly<Record<'x' | 'y' | 'w' | 'h', number>>): Room {
  const { centre, width, height } = room;
  return {
    ...room,
    centre: { x: centre.x + x * width, y: centre.y + y * height },
    width: w * width,
    height: h * height,
  };
}
