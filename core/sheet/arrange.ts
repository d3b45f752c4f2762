import type { Box } from '../geometry/index.ts';
import { pieceSize, type Piece } from '../piece/index.ts';
import { keepClear, printable, spotPlaces, type Stock } from '../stock/index.ts';
import { copyId, type CopyId, type Plan } from './plan.ts';
import { mostThatFit } from './bound.ts';
import { fillBest } from './fill-best.ts';
import { reserved, stepAndRepeat, type Repeated, type Spot } from './step-and-repeat.ts';

/** What an arrangement needs to know of a job. */
export interface Arrangeable {
  readonly pieces: readonly Piece[];
  readonly stock: Stock;
  readonly plan: Plan;
}

/** One copy at its place: its centre on the sheet, mm and degrees. */
export interface Placement {
  readonly copy: CopyId;
  readonly piece: string;
  readonly x: number;
  readonly y: number;
  readonly angle: number;
  /** Whether a hand put it there. */
  readonly byHand: boolean;
}

/** One sheet and what lies on it. */
export interface SheetLayout {
  readonly placements: readonly Placement[];
}

/** How a job's copies fill its sheets. */
export interface Layout {
  readonly sheets: readonly SheetLayout[];
  /** How many copies a full sheet of the first piece that is wanted takes. */
  readonly perSheet: number;
  /** How many more of it the sheets that are begun would take. */
  readonly spare: number;
  /** Copies of each piece that fit on no sheet at all. */
  readonly left: Readonly<Record<string, number>>;
}

const MOST_SHEETS = 2000;

interface Wanted {
  readonly piece: Piece;
  readonly shape: Repeated;
  next: number;
  left: number;
}

const repeated = (piece: Piece): Repeated => ({
  ...pieceSize(piece),
  round: piece.edge.kind === 'circle',
});

/** How many copies a full sheet of the first piece that is wanted takes, without laying any out. */
export function copiesPerSheet(job: Arrangeable): number {
  const first = job.pieces.find(({ id }) => (job.plan.wanted[id] ?? 0) > 0) ?? job.pieces[0];
  return first ? spotsFor(job, repeated(first), []).length : 0;
}

/**
 * How many copies of the first piece that is wanted any arrangement of a sheet can hold at most. What
 * fills a die-cut sheet is its spots.
 */
export function mostPerSheet(job: Arrangeable): number {
  const first = job.pieces.find(({ id }) => (job.plan.wanted[id] ?? 0) > 0) ?? job.pieces[0];
  if (!first) return 0;
  const { stock, plan } = job;
  if (stock.spots) return spotPlaces(stock.spots).length;
  return mostThatFit(repeated(first), printable(stock), plan.gap, {
    taken: keepClear(stock, plan.marks),
  });
}

/** Fills sheets with the wanted copies, then puts those that a hand has moved where it left them. */
export function arrange(job: Arrangeable): Layout {
  const wanted = job.pieces.map((piece): Wanted => ({
    piece,
    shape: repeated(piece),
    next: 1,
    left: job.plan.wanted[piece.id] ?? 0,
  }));
  const nest = job.plan.arrangement === 'nest' ? job.plan.nested?.[0]?.length : undefined;
  const perSheet = nest ?? copiesPerSheet(job);
  const sheets: Placement[][] = [];
  // A started sheet comes first; one of which nothing is left is no sheet.
  let gone = job.plan.arrangement === 'spots' ? job.plan.used : [];
  sheets.push(...nestedSheets(job, wanted));
  while (wanted.some(({ left }) => left > 0) && sheets.length < MOST_SHEETS) {
    const started = sheets.length === 0 ? gone : [];
    const sheet =
      job.plan.arrangement === 'spots' ? fillSpots(job, wanted, started) : fillRows(job, wanted);
    if (sheet.length > 0) sheets.push(sheet);
    else if (started.length > 0) gone = [];
    else break;
  }
  const left = Object.fromEntries(
    wanted.filter(({ left }) => left > 0).map(({ piece, left }) => [piece.id, left]),
  );
  const moved = sheets.length ? withHandPlaces(sheets, job.plan.moved) : sheets;
  const placed = sheets.reduce((sum, { length }) => sum + length, 0);
  const room = Math.max(0, sheets.length * perSheet - (sheets.length ? gone.length : 0) - placed);
  // Where copies are nested nobody knows what else would fit until it is tried.
  const spare = nest === undefined ? room : 0;
  return { sheets: moved.map((placements) => ({ placements })), perSheet, spare, left };
}

/** The sheets as they were nested; copies that were not nested yet follow in rows on other sheets. */
function nestedSheets({ plan }: Arrangeable, wanted: readonly Wanted[]): Placement[][] {
  if (plan.arrangement !== 'nest') return [];
  return (plan.nested ?? []).flatMap((copies): Placement[][] => {
    const sheet = copies.flatMap((copy): Placement[] => {
      const lot = wanted.find(({ piece, left }) => piece.id === copy.piece && left > 0);
      return lot ? [take(lot, copy)] : [];
    });
    return sheet.length ? [sheet] : [];
  });
}

/** The free places for one shape on a sheet on which some room is taken. */
function spotsFor({ stock, plan }: Arrangeable, shape: Repeated, taken: readonly Box[]): Spot[] {
  if (plan.arrangement === 'spots' && stock.spots) {
    return [...spotPlaces(stock.spots)];
  }
  const zones = keepClear(stock, plan.marks);
  const room = { area: printable(stock), taken: [...zones, ...taken], gap: plan.gap };
  return plan.arrangement === 'best'
    ? [...fillBest(shape, room, { mayTurn: true }).spots]
    : stepAndRepeat(shape, room, true);
}

/** One copy in each label, but for those of a started sheet that are gone. */
function fillSpots(
  job: Arrangeable,
  wanted: readonly Wanted[],
  started: readonly number[],
): Placement[] {
  const queue = wanted.filter(({ left }) => left > 0);
  const sheet: Placement[] = [];
  const spots = queue[0] ? spotsFor(job, queue[0].shape, []) : [];
  const gone = new Set(started);
  for (const spot of spots.filter((_, at) => !gone.has(at))) {
    const next = queue.find(({ left }) => left > 0);
    if (next) sheet.push(take(next, spot));
  }
  return sheet;
}

/** Pieces of one size share a grid; other sizes follow in the room that is left. */
function fillRows(job: Arrangeable, wanted: readonly Wanted[]): Placement[] {
  const sheet: Placement[] = [];
  const taken: Box[] = [];
  for (const leader of wanted) {
    const alike = wanted.filter(
      ({ shape, left }) =>
        left > 0 && shape.width === leader.shape.width && shape.height === leader.shape.height,
    );
    if (leader.left === 0 || alike.length === 0) continue;
    for (const spot of spotsFor(job, leader.shape, taken)) {
      const next = alike.find(({ left }) => left > 0);
      if (!next) break;
      sheet.push(take(next, spot));
      taken.push(reserved(spot, leader.shape, job.plan.gap));
    }
  }
  return sheet;
}

function take(wanted: Wanted, spot: Pick<Spot, 'x' | 'y' | 'angle'>): Placement {
  wanted.left--;
  const copy = copyId(wanted.piece.id, wanted.next++);
  return { copy, piece: wanted.piece.id, x: spot.x, y: spot.y, angle: spot.angle, byHand: false };
}

function withHandPlaces(sheets: readonly Placement[][], moved: Plan['moved']): Placement[][] {
  if (Object.keys(moved).length === 0) return [...sheets];
  const result = sheets.map((sheet) => sheet.filter(({ copy }) => !moved[copy]));
  for (const placement of sheets.flat()) {
    const place = moved[placement.copy];
    if (!place) continue;
    const sheet = Math.min(place.sheet, result.length - 1);
    const { x, y, angle } = place;
    result[sheet]?.push({ ...placement, x, y, angle, byHand: true });
  }
  // Sheets at the end that a hand has emptied are not needed.
  while (result.length > 1 && result[result.length - 1]?.length === 0) result.pop();
  return result;
}
