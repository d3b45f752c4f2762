import { doing, unwatched, type Task } from '../../base/index.ts';
import { CircleSheet } from './circles.ts';
import { NestedSheet } from './nested-sheet.ts';
import type { Nested, NestPlace, NestWish, SheetSearch } from './sheet-search.ts';
import type { NestRoom } from './turned.ts';

/** How hard and with which luck sheets are nested. */
export interface NestEffort {
  /** Attempts to place more on a sheet; each is a bounded number of moves. */
  readonly rounds: number;
  readonly seed: number;
  readonly task?: Task;
  /** Whether the time is up. */
  readonly over?: () => boolean;
  /** Hears each better answer, with the sheets that are done already. */
  readonly better?: (sheets: readonly Nested[]) => void;
  /** Copies that lie on the sheets already. */
  readonly start?: readonly (readonly NestPlace[])[];
  /** The rooms of the first sheets, where these are others. */
  readonly special?: readonly NestRoom[];
}

/** Rounds between two breaths: some 30 ms. Those that take longer breathe in between. */
const ROUNDS_A_BREATH = 8;

/**
 * Places as much area on sheets as it can, one sheet after the other. A sheet whose copies are wanted
 * several times is laid so several times.
 * @param most how many sheets may be used
 */
export async function nestSheets(
  wishes: readonly NestWish[],
  room: NestRoom,
  { most, ...effort }: NestEffort & { readonly most: number },
): Promise<Nested[]> {
  const { task = unwatched, over = () => false } = effort;
  const watch = { yieldNow: () => task.yieldNow(), over };
  const done: Nested[] = [];
  while (done.length < most) {
    const left = wishes.map((wish, kind) => ({
      ...wish,
      wanted: wish.wanted - done.reduce((sum, sheet) => sum + countOf(sheet, kind), 0),
    }));
    if (left.every(({ wanted }) => wanted <= 0)) break;
    const here = effort.special?.[done.length] ?? room;
    const sheet = searchOf(left, here, effort.seed + done.length * 1000);
    sheet.begin(effort.start?.[done.length] ?? []);
    // However short the time is, there is an answer.
    const report = (): void => effort.better?.([...done, sheet.answer()]);
    if (done.length) await sheet.first(watch);
    else await sheet.first({ ...watch, over: () => false }, report);
    report();
    for (let round = 0; round < effort.rounds && sheet.left() && !over(); round++) {
      task.progress(round / effort.rounds, doing('nesting', {}));
      if (round % ROUNDS_A_BREATH === 0) await task.yieldNow();
      if (await sheet.attempt(watch)) report();
    }
    const answer = sheet.answer();
    const own = here !== room;
    if (answer.places.length === 0 && !own) break;
    for (let times = own ? 1 : alike(left, answer); times > 0 && done.length < most; times--)
      done.push(answer);
  }
  return done;
}

/** Circles of one size alone are laid more exactly than outlines of any kind. */
function searchOf(left: readonly NestWish[], room: NestRoom, seed: number): SheetSearch {
  const [only, ...others] = left.filter(({ wanted }) => wanted > 0);
  const round = only?.diameter !== undefined && others.length === 0 && !room.fixed?.length;
  return round && left.indexOf(only) === 0
    ? new CircleSheet(only, only.diameter, room, seed)
    : new NestedSheet(left, room, seed);
}

const countOf = ({ places }: Nested, kind: number): number =>
  places.filter((place) => place.kind === kind).length;

/** How many sheets like that the wishes are enough for. */
function alike(wishes: readonly NestWish[], sheet: Nested): number {
  const times = wishes.map(({ wanted }, kind) => {
    const count = countOf(sheet, kind);
    return count ? Math.floor(wanted / count) : Infinity;
  });
  return Math.max(1, Math.min(...times));
}
