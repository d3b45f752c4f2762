import { flatten, largestRing, mapRing, placed, signedArea, type Ring } from '../geometry/index.ts';
import type { Piece } from '../piece/index.ts';
import { shapePath } from '../shape/index.ts';
import { keepClear, printable } from '../stock/index.ts';
import { pinnedCopies, stockOf, type Arrangeable } from './arrange.ts';
import {
  freeArea,
  type Nested,
  type NestEffort,
  type NestPlace,
  type NestRoom,
  nestSheets,
  type NestWish,
} from '../packing/index.ts';
import { isByRow, printedCopyIds, MOST_COPIES } from './copies.ts';
import { inOrder, type NestedCopy, type Turns } from './plan.ts';

const MOST_SHEETS = 2000;

/** What a copy that is wanted counts where a sheet is filled, mm²: more than a sheet of any others. */
const WANTED = 2e5;

/** The angles that are tried, degrees. */
const ANGLES: Record<Turns, readonly number[]> = {
  none: [0],
  half: [0, 180],
  quarter: [0, 90, 180, 270],
  any: Array.from({ length: 16 }, (_, at) => at * 22.5),
};

/** What nesting a job has found so far. */
export interface NestedJob {
  readonly sheets: readonly (readonly NestedCopy[])[];
  readonly copies: number;
  /** How many of each piece, with those that stay where they are pinned. */
  readonly counts: Readonly<Record<string, number>>;
  /** The area of the copies by that of the room on the sheets in use, 0 to 1. */
  readonly used: number;
  /** What all copies count together, as the search has it, mm². */
  readonly worth: number;
  /** The area of the copies on the last sheet, mm². */
  readonly last: number;
}

/**
 * Whether an answer is better than another: it places more of what counts, or as much on fewer sheets,
 * or leaves the last of as many sheets emptier.
 */
export function isBetterNest(one: NestedJob, other: NestedJob): boolean {
  if (Math.abs(one.worth - other.worth) > ALIKE) return one.worth > other.worth;
  if (one.sheets.length !== other.sheets.length) return one.sheets.length < other.sheets.length;
  return one.last < other.last - ALIKE;
}

const ALIKE = 1e-6; // mm²

/** Nests the wanted copies of a job, beginning with what stands nested there now. */
export async function nestJob(
  job: Arrangeable,
  {
    better,
    fill = false,
    ...effort
  }: Omit<NestEffort, 'start' | 'better'> & {
    /** Puts in more than is wanted, on the sheets in use. */
    fill?: boolean;
    better?: (found: NestedJob) => void;
  },
): Promise<NestedJob> {
  const { plan } = job;
  const pieces = job.pieces.filter(({ id }) => printedCopyIds(job, id).length > 0);
  const angles = ANGLES[plan.turns ?? 'quarter'];
  const pinned = pinnedCopies(job);
  const fixed: Ring[][] = [];
  for (const { piece, place } of pinned)
    (fixed[place.sheet] ??= []).push(
      mapRing(outlineOf(piece), placed(place.x, place.y, place.angle)),
    );
  const staying = (id: string): number => pinned.filter(({ piece }) => piece.id === id).length;
  const wishesOf = ({ id, edge }: Piece): NestWish[] => {
    const ring = outlineOf({ edge });
    const area = Math.abs(signedArea(ring));
    const round = edge.kind === 'circle' ? { diameter: edge.diameter } : {};
    const wanted = printedCopyIds(job, id).length - staying(id);
    const wish = { ring, area, ...round, angles: edge.kind === 'circle' ? [0] : angles };
    const own = { ...wish, wanted, most: false, ...(fill && { worth: WANTED }) };
    // A list says how many there are.
    if (!fill || isByRow(job, id)) return [own];
    const more = { ...wish, wanted: MOST_COPIES, most: true };
    // Of one piece alone none goes for another.
    return pieces.length === 1 ? [more] : [own, more];
  };
  const asked = pieces.flatMap((piece) => wishesOf(piece).map((wish) => ({ piece, wish })));
  const wishes = asked.map(({ wish }) => wish);
  const pieceOf = (kind: number): Piece | undefined => asked[kind]?.piece;
  const countOf = (sheets: readonly Nested[], id: string): number =>
    sheets
      .flatMap(({ places }) => places)
      .reduce((sum, { kind }) => sum + (pieceOf(kind)?.id === id ? 1 : 0), 0);
  const roomOf = (sheet: number): NestRoom => {
    const on = stockOf(job, sheet);
    const taken = keepClear(on, plan.marks);
    return { area: printable(on), taken, gap: plan.gap, fixed: fixed[sheet] ?? [] };
  };
  const others = Object.keys(plan.stocks ?? {}).map(Number);
  const count = Math.max(fixed.length, ...others.map((sheet) => sheet + 1));
  const special = Array.from({ length: count }, (_, sheet) => roomOf(sheet));
  const jobOf = (sheets: readonly Nested[]): NestedJob => {
    const area = sheets.reduce((sum, sheet) => sum + sheet.area, 0);
    return {
      sheets: sheets.map(({ places }) =>
        places.map(({ kind, x, y, angle }) => ({ piece: pieceOf(kind)?.id ?? '', x, y, angle })),
      ),
      counts: Object.fromEntries(pieces.map(({ id }) => [id, countOf(sheets, id) + staying(id)])),
      copies: sheets.reduce((sum, { places }) => sum + places.length, 0),
      used: sheets.length ? area / sheets.reduce((sum, _, at) => sum + freeArea(roomOf(at)), 0) : 0,
      worth: sheets.reduce((sum, sheet) => sum + sheet.worth, 0),
      last: sheets[sheets.length - 1]?.area ?? 0,
    };
  };
  const nested = plan.nested && inOrder(plan.nested, plan);
  const rest = wishes.map(({ wanted }) => wanted);
  const start = nested?.map((sheet) =>
    sheet.flatMap(({ piece, ...place }): NestPlace[] => {
      const kind = asked.findIndex(({ piece: { id } }, at) => id === piece && (rest[at] ?? 0) > 0);
      if (kind < 0) return [];
      rest[kind] = (rest[kind] as number) - 1;
      return [{ kind, ...place }];
    }),
  );
  return jobOf(
    await nestSheets(wishes, roomOf(count), {
      ...effort,
      most: fill ? Math.max(1, plan.nested?.length ?? 0) : MOST_SHEETS,
      ...(start ? { start } : {}),
      special,
      ...(better ? { better: (sheets) => better(jobOf(sheets)) } : {}),
    }),
  );
}

/** The outer outline of a piece about its centre. */
const outlineOf = ({ edge }: Pick<Piece, 'edge'>): Ring => largestRing(flatten(shapePath(edge)));
