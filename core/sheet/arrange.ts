import {
  boxesMeet,
  boxOf,
  corners,
  boxAbout,
  grown,
  mapRing,
  placed,
  type Box,
} from '../geometry/index.ts';
import { pieceSize, type List, type Piece } from '../piece/index.ts';
import { keepClear, printable, spotPlaces, type Stock } from '../stock/index.ts';
import { findCopy, isPrinted, copyCount, printedCopyIds } from './copies.ts';
import { copyParts, type CopyId, type HandPlace, type Plan } from './plan.ts';
import {
  fillBest,
  copiesUpperBound,
  reserved,
  stepAndRepeat,
  type BoundTurns,
  type Repeated,
  type Spot,
} from '../packing/index.ts';

/** What an arrangement needs to know of a job. */
export interface Arrangeable {
  readonly pieces: readonly Piece[];
  readonly stock: Stock;
  readonly plan: Plan;
  /** Its rows may say which copies there are. */
  readonly list?: List | undefined;
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
  /** Whether the others are laid around it. */
  readonly pinned?: boolean;
}

/** One sheet and what lies on it. */
export interface SheetLayout {
  readonly stock: Stock;
  readonly placements: readonly Placement[];
}

/** How a job's copies fill its sheets. */
export interface Layout {
  readonly sheets: readonly SheetLayout[];
  /** How many copies a full sheet of the first piece that is wanted takes; of pieces of several sizes what the first sheet has. */
  readonly perSheet: number;
  /** How many places the sheets have together, as far as it is known. */
  readonly places: number;
  /** How many more of it the sheets that are begun would take. */
  readonly freePlaces: number;
  /** Copies of each piece that fit on no sheet at all. */
  readonly left: Readonly<Record<string, number>>;
}

const MOST_SHEETS = 2000;

interface Wanted {
  readonly piece: Piece;
  readonly shape: Repeated;
  /** The copies that are still to be laid, in order. */
  readonly left: CopyId[];
}

const repeated = (piece: Piece): Repeated => ({
  ...pieceSize(piece),
  round: piece.edge.kind === 'circle',
  oval: piece.edge.kind === 'ellipse',
});

/** Whether any copy of a piece is printed this time. */
const isWanted = (job: Arrangeable, piece: string): boolean =>
  job.plan.printOnly ? printedCopyIds(job, piece).length > 0 : copyCount(job, piece) > 0;

const ALIKE = 0.1; // mm

/** Whether the pieces that are wanted are of several sizes. */
function hasSizes(job: Arrangeable): boolean {
  if (job.plan.arrangement === 'spots') return false;
  const [first, ...others] = job.pieces.filter(({ id }) => isWanted(job, id)).map(pieceSize);
  return others.some(
    ({ width, height }) =>
      Math.abs(width - (first?.width ?? width)) > ALIKE ||
      Math.abs(height - (first?.height ?? height)) > ALIKE,
  );
}

/** The first piece that is wanted, or the first of all. */
export function leadPiece(job: Arrangeable): Piece | undefined {
  return job.pieces.find(({ id }) => isWanted(job, id)) ?? job.pieces[0];
}

/** How many copies a full sheet of the first piece that is wanted takes, without laying any out. */
export function copiesPerSheet(job: Arrangeable): number {
  const first = leadPiece(job);
  return first ? spotsFor(job, repeated(first), []).length : 0;
}

/** How many copies of a size a full sheet takes, arranged as the plan says. */
export function copiesOfSize(job: Arrangeable, shape: Repeated): number {
  return spotsFor(job, shape, []).length;
}

/**
 * How many copies of the first piece that is wanted any arrangement of a sheet can hold at most. What
 * fills a die-cut sheet is its spots.
 * @param turns how copies may be turned
 */
export function mostPerSheet(job: Arrangeable, turns: BoundTurns = 'quarter'): number {
  const first = leadPiece(job);
  if (!first) return 0;
  const { stock, plan } = job;
  if (stock.spots) return spotPlaces(stock.spots).length;
  return copiesUpperBound(repeated(first), printable(stock), plan.gap, {
    taken: keepClear(stock, plan.marks),
    turns,
  });
}

/** Fills sheets with the wanted copies, then puts those that a hand has moved where it left them. */
export function arrange(job: Arrangeable): Layout {
  const pinned = pinnedCopies(job);
  const names = new Set<string>(pinned.map(({ copy }) => copy));
  const wanted = job.pieces.map((piece): Wanted => ({
    piece,
    shape: repeated(piece),
    left: printedCopyIds(job, piece.id).filter((copy) => !names.has(copy)),
  }));
  const { sheets, gone } = filled(job, wanted, pinned);
  // Of pieces of several sizes, and of nested ones, nobody knows what else would fit until it is tried.
  const counted = job.plan.arrangement === 'nest' && job.plan.nested !== undefined;
  const first =
    counted || hasSizes(job) ? sheets.find((sheet) => sheet?.length)?.length : undefined;
  const perSheet = first ?? copiesPerSheet(job);
  const left = Object.fromEntries(
    wanted.filter(({ left }) => left.length > 0).map(({ piece, left }) => [piece.id, left.length]),
  );
  for (const { copy, piece, place } of pinned)
    (sheets[place.sheet] ??= []).push({ copy, piece: piece.id, ...placeOf(place), byHand: true });
  const full = Array.from(sheets, (sheet, at) => ({
    placements: sheet ?? [],
    stock: stockOf(job, at),
  })).filter(({ placements }) => placements.length > 0);
  const moved = full.length ? withHandPlaces(full, job.plan.handPlaces) : full;
  const count = full.reduce((sum, { placements }) => sum + placements.length, 0);
  const places = full.reduce(
    (sum, { stock }) => sum + (stock === job.stock ? perSheet : copiesPerSheet({ ...job, stock })),
    0,
  );
  const freePlaces =
    first === undefined ? Math.max(0, places - (full.length ? gone : 0) - count) : 0;
  return {
    sheets: moved,
    perSheet,
    places: first === undefined ? places : count,
    freePlaces,
    left,
  };
}

/** What a sheet of a job is, by its number from 0. */
export function stockOf({ stock, plan }: Arrangeable, sheet: number): Stock {
  return plan.stocks?.[String(sheet)] ?? stock;
}

/** Fills sheet after sheet, each at its place in the order, and tells how many labels of the first were gone. */
function filled(
  job: Arrangeable,
  wanted: readonly Wanted[],
  pinned: readonly Pinned[],
): { sheets: Placement[][]; gone: number } {
  const { arrangement, usedLabels, order = [] } = job.plan;
  const nested = nestedSheets(job, wanted);
  const lastPin = Math.max(-1, ...pinned.map(({ place }) => place.sheet));
  // A started sheet comes first; one of which nothing is left is no sheet.
  let gone = arrangement === 'spots' ? usedLabels : [];
  const sheets: Placement[][] = [];
  for (let at = 0; at < MOST_SHEETS; at++) {
    const comes = order.indexOf(at);
    const place = comes < 0 ? at : comes;
    const more = wanted.some(({ left }) => left.length > 0);
    if (!more && at >= nested.length && place > lastPin) break;
    const started = at === 0 ? gone : [];
    const stays = pinned.filter((one) => one.place.sheet === place);
    const here = { ...job, stock: stockOf(job, place) };
    const fill = (without: readonly number[]): Placement[] =>
      arrangement === 'spots'
        ? fillSpots(here, wanted, { started: without, stays })
        : fillRows(here, wanted, stays);
    let sheet = nested[at] ?? fill(started);
    if (sheet.length === 0 && started.length > 0) {
      gone = [];
      sheet = fill(gone);
    }
    // Where nothing fits on a usual sheet nothing will fit on the next one.
    if (sheet.length === 0 && place > lastPin && here.stock === job.stock && !nested[at]) break;
    sheets[place] = sheet;
  }
  return { sheets, gone: gone.length };
}

const placeOf = ({ x, y, angle }: HandPlace): Pick<Spot, 'x' | 'y' | 'angle'> => ({ x, y, angle });

/** A copy that stays where a hand has pinned it. */
export interface Pinned {
  readonly copy: CopyId;
  readonly piece: Piece;
  readonly place: HandPlace;
}

/** The copies that stay where they are whatever the others do; copies that are no longer made are none. */
export function pinnedCopies(job: Arrangeable): Pinned[] {
  return Object.entries(job.plan.handPlaces).flatMap(([name, place]): Pinned[] => {
    const copy = name as CopyId;
    if (!place.pinned || !findCopy(job, copy) || !isPrinted(job, copy)) return [];
    const piece = job.pieces.find(({ id }) => id === copyParts(copy).piece);
    return piece ? [{ copy, piece, place }] : [];
  });
}

/** The box that a pinned copy stands in, with the gap around it. */
function stayingBox({ piece, place }: Pinned, gap: number): Box {
  const { width, height } = pieceSize(piece);
  const upright = corners(boxAbout({ x: 0, y: 0 }, width, height));
  const box = boxOf(mapRing(upright, placed(place.x, place.y, place.angle)));
  return grown(box ?? boxAbout(place, 0, 0), gap);
}

/** The sheets as they were nested; copies that were not nested yet follow in rows on other sheets. */
function nestedSheets({ plan }: Arrangeable, wanted: readonly Wanted[]): Placement[][] {
  if (plan.arrangement !== 'nest') return [];
  return (plan.nested ?? []).map((copies): Placement[] =>
    copies.flatMap((copy): Placement[] => {
      const lot = wanted.find(({ piece, left }) => piece.id === copy.piece && left.length > 0);
      return lot ? [take(lot, copy)] : [];
    }),
  );
}

/**
 * The free places for one shape on a sheet on which some room is taken.
 * @param wanted how many are needed: copies that only wait to be nested do not need the best grid
 */
function spotsFor(
  { stock, plan }: Arrangeable,
  shape: Repeated,
  taken: readonly Box[],
  wanted = Infinity,
): readonly Spot[] {
  if (plan.arrangement === 'spots' && stock.spots) return spotPlaces(stock.spots);
  const zones = keepClear(stock, plan.marks);
  const room = { area: printable(stock), taken: [...zones, ...taken], gap: plan.gap };
  const enough = plan.arrangement === 'nest' ? wanted : Infinity;
  return remembered(JSON.stringify([plan.arrangement, shape, room, enough]), () =>
    plan.arrangement === 'best'
      ? fillBest(shape, room, { mayTurn: true }).spots
      : stepAndRepeat(shape, room, true, enough),
  );
}

/**
 * The free places for one shape, clear of the marks' zones by its bleed, which is cut off in them;
 * nearer to them only where fewer of those that are wanted would have a place otherwise.
 */
function spotsWithBleed(
  job: Arrangeable,
  shape: Repeated,
  {
    taken,
    bleed,
    wanted,
  }: { readonly taken: readonly Box[]; readonly bleed: number; readonly wanted: number },
): readonly Spot[] {
  const zones = keepClear(job.stock, job.plan.marks).map((zone) => grown(zone, bleed));
  const near = (): readonly Spot[] => spotsFor(job, shape, taken, wanted);
  if (bleed === 0 || zones.length === 0) return near();
  const clear = spotsFor(job, shape, [...taken, ...zones], wanted);
  if (clear.length >= wanted) return clear;
  const nearer = near();
  return clear.length >= nearer.length ? clear : nearer;
}

const MOST_REMEMBERED = 200;
const known = new Map<string, readonly Spot[]>();

/** Full sheets are alike, and desks ask for the same ones after every change of something else. */
function remembered(key: string, make: () => readonly Spot[]): readonly Spot[] {
  const found = known.get(key);
  if (found) return found;
  const made = make();
  if (known.size >= MOST_REMEMBERED) known.clear();
  known.set(key, made);
  return made;
}

/** One copy in each label, but for those of a started sheet that are gone and those that are taken. */
function fillSpots(
  job: Arrangeable,
  wanted: readonly Wanted[],
  { started, stays }: { started: readonly number[]; stays: readonly Pinned[] },
): Placement[] {
  const queue = wanted.filter(({ left }) => left.length > 0);
  const sheet: Placement[] = [];
  const spots = queue[0] ? spotsFor(job, queue[0].shape, []) : [];
  const gone = new Set(started);
  const taken = stays.map((one) => stayingBox(one, 0));
  for (const spot of spots.filter((_, at) => !gone.has(at))) {
    const next = queue.find(({ left }) => left.length > 0);
    if (!next) break;
    const room = reserved(spot, next.shape, 0);
    if (!taken.some((box) => boxesMeet(box, room))) sheet.push(take(next, spot));
  }
  return sheet;
}

/** Pieces of one size share a grid; other sizes follow in the room that is left. */
function fillRows(
  job: Arrangeable,
  wanted: readonly Wanted[],
  stays: readonly Pinned[],
): Placement[] {
  const sheet: Placement[] = [];
  const taken = stays.map((one) => stayingBox(one, job.plan.gap));
  for (const leader of wanted) {
    const alike = wanted.filter(
      ({ shape, left }) =>
        left.length > 0 &&
        shape.width === leader.shape.width &&
        shape.height === leader.shape.height,
    );
    if (leader.left.length === 0 || alike.length === 0) continue;
    const bleed = Math.max(...alike.map(({ piece }) => piece.bleed));
    const count = alike.reduce((sum, { left }) => sum + left.length, 0);
    for (const spot of spotsWithBleed(job, leader.shape, { taken, bleed, wanted: count })) {
      const next = alike.find(({ left }) => left.length > 0);
      if (!next) break;
      sheet.push(take(next, spot));
      taken.push(reserved(spot, leader.shape, job.plan.gap));
    }
  }
  return sheet;
}

function take(wanted: Wanted, spot: Pick<Spot, 'x' | 'y' | 'angle'>): Placement {
  const copy = wanted.left.shift() as CopyId; // asked only while some are left
  return { copy, piece: wanted.piece.id, x: spot.x, y: spot.y, angle: spot.angle, byHand: false };
}

function withHandPlaces(sheets: readonly SheetLayout[], moved: Plan['handPlaces']): SheetLayout[] {
  if (Object.keys(moved).length === 0) return [...sheets];
  const result = sheets.map(({ placements }) => placements.filter(({ copy }) => !moved[copy]));
  for (const placement of sheets.flatMap(({ placements }) => placements)) {
    const place = moved[placement.copy];
    if (!place) continue;
    const sheet = Math.min(place.sheet, result.length - 1);
    const pinned = place.pinned ? { pinned: true } : {};
    result[sheet]?.push({ ...placement, ...placeOf(place), byHand: true, ...pinned });
  }
  // Sheets at the end that a hand has emptied are not needed.
  while (result.length > 1 && result[result.length - 1]?.length === 0) result.pop();
  return result.map((placements, at) => ({
    placements,
    stock: sheets[at]?.stock as Stock,
  }));
}
