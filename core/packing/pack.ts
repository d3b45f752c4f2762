import { err, ok, unwatched, type Result, type Task } from '../base/index.ts';
import { freeArea, outlinesUpperBound, copiesUpperBound } from './upper-bound.ts';
import { nestSheets } from './nest/nest.ts';
import { parsePackRequest, MOST_COPIES, type Lot, type PackRequest } from './pack-request.ts';
import { packRows, type Packed, type PackPlacement } from './pack-rows.ts';
import type { Room } from './step-and-repeat.ts';

/** How a request was met. */
export interface PackAnswer {
  readonly sheets: readonly { readonly placements: readonly PackPlacement[] }[];
  readonly placed: Readonly<Record<string, number>>;
  readonly left: Readonly<Record<string, number>>;
  readonly bound?: Readonly<Record<string, number>>;
  readonly proved: boolean;
  /** Placed area by the free area of the sheets in use. */
  readonly used: number;
  readonly method: string;
  /** Whether the time was up before the work was done. */
  readonly stopped: boolean;
}

/** How hard and with which luck sheets are packed. */
export interface PackEffort {
  /** Rounds of the solver for each sheet. */
  readonly rounds?: number;
  readonly seed?: number;
  /** Whether the time is up. */
  readonly over?: () => boolean;
  readonly task?: Task;
}

const ROUNDS = 300;
/** Of circles alone, which need about a second then. */
const CIRCLE_ROUNDS = 60;

/**
 * Fills sheets. Copies of one rectangle stand in rows, or with both directions mixed, and circles in
 * rows to which more may be added; free outlines and different pieces are nested, and rows are kept
 * where these hold as much.
 */
export async function tryPack(
  input: unknown,
  effort: PackEffort = {},
): Promise<Result<PackAnswer>> {
  const read = parsePackRequest(input);
  if (!read.ok) return read;
  const { request, lots } = read.value;
  const room = roomOf(request);
  if (room.area.right <= room.area.left || room.area.bottom <= room.area.top)
    return err('pack/no-room', {}, 'sheet.margin');
  const most = request.sheets === 'any' ? MOST_COPIES : request.sheets;
  const plain = lots.every(({ shape }) => shape);
  const rows = plain ? packRows(lots, room, most) : undefined;
  const full = rows && areaOf(lots, rows) > 0.999 * rows.sheets.length * freeArea(room);
  // Rows hold copies that stand and lie; what may lie askew is tried askew.
  const alone = lots.length === 1 && !lots[0]?.diameter && lots[0]?.turns !== 'any';
  const done = rows && (alone || full || everything(lots, rows));
  if (rows && done) return ok(answer(request, lots, { packed: rows, room, stopped: false }));
  const { over = () => false } = effort;
  let stopped = false;
  const nested = await packNested(lots, room, {
    most,
    ...effort,
    over: () => (stopped ||= over()),
  });
  const packed = rows && areaOf(lots, rows) >= areaOf(lots, nested) ? rows : nested;
  return ok(answer(request, lots, { packed, room, stopped: stopped && !everything(lots, packed) }));
}

function roomOf({ sheet, keepClear, gap }: PackRequest): Room {
  const [top, right, bottom, left] = sheet.margin;
  return {
    area: { left, top, right: sheet.width - right, bottom: sheet.height - bottom },
    taken: keepClear.map(({ x, y, width, height }) => ({
      left: x,
      top: y,
      right: x + width,
      bottom: y + height,
    })),
    gap,
  };
}

async function packNested(
  lots: readonly Lot[],
  room: Room,
  {
    most,
    rounds = lots.length === 1 && lots[0]?.diameter !== undefined ? CIRCLE_ROUNDS : ROUNDS,
    seed = 1,
    task = unwatched,
    over,
  }: PackEffort & { most: number; over: () => boolean },
): Promise<Packed> {
  const sheets = await nestSheets(lots, room, { most, rounds, seed, task, over });
  return {
    method: 'nest',
    sheets: sheets.map(({ places }) =>
      places.map(({ kind, x, y, angle }) => ({
        id: lots[kind]?.id ?? '',
        x: rounded(x),
        y: rounded(y),
        angle,
      })),
    ),
  };
}

/** To a tenth of a micrometre. */
const rounded = (mm: number): number => Math.round(mm * 1e4) / 1e4;

const wantedOf = ({ most, wanted }: Lot): number => (most ? Infinity : wanted);

const countOf = ({ sheets }: Packed, { id }: Lot): number =>
  sheets.reduce((sum, sheet) => sum + sheet.filter((one) => one.id === id).length, 0);

const areaOf = (lots: readonly Lot[], packed: Packed): number =>
  lots.reduce((sum, lot) => sum + countOf(packed, lot) * lot.area, 0);

/** Whether all that has a number is placed, and nothing wants as many as fit. */
const everything = (lots: readonly Lot[], packed: Packed): boolean =>
  lots.every((lot) => !lot.most && countOf(packed, lot) === lot.wanted);

function answer(
  request: PackRequest,
  lots: readonly Lot[],
  { packed, room, stopped }: { packed: Packed; room: Room; stopped: boolean },
): PackAnswer {
  const { sheets, method } = packed;
  const counts = lots.map((lot) => [lot, countOf(packed, lot)] as const);
  const [only] = counts;
  const single = counts.length === 1 ? only : undefined;
  const many = request.sheets === 'any' ? sheets.length : request.sheets;
  const bound = single && many * mostOnSheet(single[0], room);
  return {
    sheets: sheets.map((placements) => ({ placements })),
    placed: Object.fromEntries(counts.map(([{ id }, count]) => [id, count])),
    left: Object.fromEntries(
      counts
        .filter(([{ most, wanted }, count]) => !most && count < wanted)
        .map(([{ id, wanted }, count]) => [id, wanted - count]),
    ),
    ...(single && bound !== undefined ? { bound: { [single[0].id]: bound } } : {}),
    proved:
      single !== undefined &&
      bound !== undefined &&
      single[1] >= Math.min(bound, wantedOf(single[0])),
    used: sheets.length ? areaOf(lots, packed) / (freeArea(room) * sheets.length) : 0,
    method,
    stopped,
  };
}

const mostOnSheet = ({ shape, ring, turns }: Lot, { area, taken, gap }: Room): number =>
  shape
    ? copiesUpperBound(shape, area, gap, { taken, turns })
    : outlinesUpperBound(ring, { area, taken, gap });
