import { isProblem, problem, type Problem } from '../base/index.ts';
import {
  arrange,
  copyId,
  copyParts,
  findCopy,
  inOrder,
  isByRow,
  judgeCopy,
  nearestPlace,
  copyAt,
  planSchema,
  stockOf,
  surroundingsOf,
  withoutNested,
  type CopyId,
  type HandPlace,
  type NestedCopy,
  type Plan,
  type Turns,
} from '../sheet/index.ts';
import type { Command, Of } from './command.ts';
import type { Stock } from '../stock/index.ts';
import { refused, invalidBySchema } from './command-problems.ts';
import { frontsOf } from './backs.ts';
import { copiesOn } from './outlines.ts';
import { withoutCopies, withoutRows, withoutSpares } from './remove-copies.ts';
import type { Job } from './schema.ts';
import { stickerSheet } from './sticker-sheet.ts';

/** How many copies a row of the list, or a label, gives at most. */
export const MOST_A_ROW = 500;

/** How sheets are filled, and single copies on them. */
export const SHEET_COMMANDS = {
  /** Has some copies alone printed this time; all of them again where none are named. */
  'print-only': {
    run: (job, { copies }) => {
      const { printOnly, ...plan } = job.plan;
      void printOnly; // chosen anew
      if (copies === undefined) return { ...job, plan };
      const there = copies.filter((copy) => findCopy(job, copy as CopyId));
      if (there.length === 0) return refused('print-none');
      return { ...job, plan: { ...plan, printOnly: there } };
    },
  } satisfies Command<{ copies: readonly string[] | undefined }>,

  'change-plan': {
    run: (job, { changes }) => {
      return withPlan(job, { ...job.plan, ...changes });
    },
  } satisfies Command<{ changes: Partial<Plan> }>,

  /** Lays copies as nesting has found; those that a hand had moved lie as all others, but for pinned ones. */
  'nest-sheets': {
    run: (job, { sheets, turns = job.plan.turns, wanted = job.plan.wanted }) => {
      // What was found comes in its own order.
      const { spares, order, ...rest } = job.plan;
      void order;
      const plan = {
        ...rest,
        // Spares are among those that were asked for beyond what is wanted.
        ...(spares && wanted === job.plan.wanted ? { spares } : {}),
        arrangement: 'nest',
        nested: sheets,
        handPlaces: pinnedOnly(job.plan.handPlaces),
        turns,
        wanted,
      };
      return withPlan(job, plan);
    },
  } satisfies Command<{
    sheets: readonly (readonly NestedCopy[])[];
    turns?: Turns | undefined;
    wanted?: Readonly<Record<string, number>> | undefined;
  }>,

  want: {
    run: (job, { piece, count }) => {
      const whole = Math.round(count);
      if (!(whole >= 0 && whole <= 5000)) return refused('copies-wanted', { count });
      return { ...job, plan: { ...job.plan, wanted: { ...job.plan.wanted, [piece]: whole } } };
    },
  } satisfies Command<Of & { count: number }>,

  /** So many of every label, all of them to be printed: of those that rows of the list give so many a row. */
  'want-labels': {
    run: (job, { count }) => {
      const whole = Math.round(count);
      if (!(whole >= 1 && whole <= MOST_A_ROW)) return refused('copies-of-row', { count });
      const { printOnly, ...plan } = withoutNested(job.plan);
      void printOnly; // all of them
      const counts = (byRow: boolean): Record<string, number> =>
        Object.fromEntries(
          frontsOf(job).flatMap(({ id, guest }) =>
            guest?.job === undefined && isByRow(job, id) === byRow ? [[id, whole]] : [],
          ),
        );
      const wanted = { ...plan.wanted, ...counts(false) };
      const copiesPerRow = { ...plan.copiesPerRow, ...counts(true) };
      return {
        ...job,
        plan: { ...plan, wanted, ...(plan.copiesPerRow ? { copiesPerRow } : {}) },
      };
    },
  } satisfies Command<{ count: number }>,

  /** Copies at places of their own. */
  'move-copies': {
    run: (job, { places }) => {
      const { handPlaces } = job.plan;
      const stays = Object.fromEntries(
        Object.entries(places).map(([copy, place]) => [
          copy,
          handPlaces[copy]?.pinned ? { pinned: true, ...place } : place,
        ]),
      );
      return withMoved(job, { ...handPlaces, ...stays });
    },
  } satisfies Command<{ places: Readonly<Record<string, HandPlace>> }>,

  'return-copies': {
    run: (job, { copies }) =>
      withMoved(
        job,
        Object.fromEntries(
          Object.entries(job.plan.handPlaces).filter(([copy]) => !copies.includes(copy)),
        ),
      ),
  } satisfies Command<{ copies: readonly string[] }>,

  /** Copies stay where they are and all others are laid around them, or no longer. */
  'pin-copies': {
    run: (job, { copies, pinned }) => {
      const places = placesOf(job);
      return withMoved(job, {
        ...job.plan.handPlaces,
        ...Object.fromEntries(
          copies.flatMap((copy) => {
            const place = places.get(copy);
            return place ? [[copy, pinned ? { ...place, pinned } : place]] : [];
          }),
        ),
      });
    },
  } satisfies Command<{ copies: readonly string[]; pinned: boolean }>,

  /** Moves those copies of a sheet that break a rule to the nearest places where they break none. */
  'free-copies': {
    run: (job, { sheet, copies }) => {
      const moved = freed(job, sheet, copies);
      if (Object.keys(moved).length === 0) return problem('sheet/no-free-place', {});
      return withMoved(job, { ...job.plan.handPlaces, ...moved });
    },
  } satisfies Command<{ sheet: number; copies: readonly string[] }>,

  /** So many fewer are wanted; the others stay. */
  'remove-copies': {
    run: (job, { copies }) => {
      const counted = copies.filter((copy) => !isByRow(job, copyParts(copy).piece));
      const without = counted.length ? { ...job, plan: withoutCopies(job, counted) } : job;
      return withoutRows(without, copies);
    },
  } satisfies Command<{ copies: readonly CopyId[] }>,

  /** More of some copies, in equal steps across and down; each is wanted beside those that were. */
  'repeat-copies': {
    run: (job, { copies, across, down, dx, dy }) => {
      const places = placesOf(job);
      const made: Record<string, HandPlace> = {};
      const count: Record<string, number> = {};
      const plan = withoutSpares(job);
      if (copies.some((copy) => isByRow(job, copyParts(copy).piece)))
        return refused('copies-by-list');
      for (const copy of copies) {
        const place = places.get(copy);
        const piece = place && job.pieces.find(({ id }) => id === copyParts(copy).piece);
        if (!piece) continue;
        made[copy] = { ...place, pinned: true };
        for (let row = 0; row < down; row++)
          for (let column = 0; column < across; column++) {
            if (row === 0 && column === 0) continue;
            const number = (count[piece.id] ?? plan.wanted[piece.id] ?? 0) + 1;
            count[piece.id] = number;
            made[copyId(piece.id, number)] = {
              ...place,
              x: place.x + column * dx,
              y: place.y + row * dy,
              pinned: true,
            };
          }
      }
      const wanted = { ...plan.wanted, ...count };
      const handPlaces = { ...plan.handPlaces, ...made };
      return withPlan(job, { ...plan, wanted, handPlaces });
    },
  } satisfies Command<{
    copies: readonly CopyId[];
    /** How many there are then, with those that are repeated. */
    across: number;
    down: number;
    dx: number;
    dy: number;
  }>,

  /** A sheet on another stock than the others, or on the same again. */
  'change-sheet-stock': {
    run: (job, { sheet, stock }) => {
      if (job.plan.arrangement === 'spots' || stock?.spots) return refused('mixed-stock');
      const { stocks = {}, ...plan } = job.plan;
      const rest = Object.entries(stocks).filter(([at]) => at !== String(sheet));
      const own = stock && stock.id !== job.stock.id ? [[String(sheet), stock] as const] : [];
      const next = Object.fromEntries([...rest, ...own]);
      return withPlan(job, Object.keys(next).length ? { ...plan, stocks: next } : plan);
    },
  } satisfies Command<{ sheet: number; stock: Stock | undefined }>,

  /** Sheets in another order; what a hand has put on them goes along. */
  'move-sheet': {
    run: (job, { from, to }) => {
      const count = arrange(job).sheets.length;
      const there = (at: number): boolean => at >= 0 && at < count;
      if (from === to || !there(from) || !there(to)) return job;
      const places = Array.from({ length: count }, (_, at) => at);
      places.splice(to, 0, ...places.splice(from, 1));
      // Which sheet, as they are filled, is at each place now.
      const order = inOrder([...places.keys()], job.plan);
      const nowAt = (sheet: number): number => (sheet < count ? places.indexOf(sheet) : sheet);
      const { stocks, handPlaces } = job.plan;
      const plan: Plan = {
        ...job.plan,
        order: places.map((at) => order[at] ?? at),
        handPlaces: Object.fromEntries(
          Object.entries(handPlaces).map(([copy, place]) => [
            copy,
            { ...place, sheet: nowAt(place.sheet) },
          ]),
        ),
        ...(stocks
          ? {
              stocks: Object.fromEntries(
                Object.entries(stocks).map(([at, stock]) => [String(nowAt(Number(at))), stock]),
              ),
            }
          : {}),
      };
      return { ...job, plan };
    },
  } satisfies Command<{ from: number; to: number }>,

  /** One piece that holds the copies of a sheet as stickers: kiss-cut in an outline that falls out whole. */
  'make-sticker-sheet': {
    run: (job, { sheet }) => {
      const piece = stickerSheet(job, sheet);
      if (isProblem(piece)) return piece;
      const { nested, spares, order, stocks, ...plan } = job.plan;
      void [nested, spares, order, stocks];
      const wanted = {
        ...Object.fromEntries(job.pieces.map(({ id }) => [id, 0])),
        [piece.id]: 1,
      };
      return {
        ...job,
        pieces: [...job.pieces, piece],
        plan: { ...plan, arrangement: 'step', handPlaces: {}, wanted },
      };
    },
  } satisfies Command<{ sheet: number }>,
};

/** The job with another plan, or why it cannot have it. */
function withPlan(job: Job, plan: Readonly<Partial<Record<keyof Plan, unknown>>>): Job | Problem {
  const read = planSchema.safeParse(plan);
  return read.success ? { ...job, plan: read.data } : invalidBySchema(read.error, plan);
}

const pinnedOnly = (moved: Plan['handPlaces']): Plan['handPlaces'] =>
  Object.fromEntries(Object.entries(moved).filter(([, { pinned }]) => pinned));

function withMoved(job: Job, moved: Readonly<Record<string, HandPlace>>): Job | Problem {
  const read = planSchema.shape.handPlaces.safeParse(moved);
  return read.success
    ? { ...job, plan: { ...job.plan, handPlaces: read.data } }
    : invalidBySchema(read.error, moved);
}

/** Where every copy lies. */
function placesOf(job: Job): Map<string, HandPlace> {
  return new Map(
    arrange(job).sheets.flatMap(({ placements }, sheet) =>
      placements.map(({ copy, x, y, angle }) => [copy, { sheet, x, y, angle }]),
    ),
  );
}

const FARTHEST = 120; // mm that a copy is moved to a free place

function freed(job: Job, sheet: number, copies: readonly string[]): Record<string, HandPlace> {
  let all = copiesOn(job, sheet);
  const moved: Record<string, HandPlace> = {};
  for (const name of copies) {
    const copy = all.find(({ placement }) => placement.copy === name);
    if (!copy) continue;
    const others = all.filter((one) => one !== copy);
    const around = surroundingsOf({ ...job, stock: stockOf(job, sheet) }, others);
    if (judgeCopy(copy, around).state === 'fine') continue;
    const at = nearestPlace(copy, around, FARTHEST);
    if (!at) continue;
    moved[name] = { sheet, ...at, angle: copy.placement.angle };
    all = [...others, copyAt(copy, at)];
  }
  return moved;
}
