import { z } from 'zod';
import { bad, good, type Result } from '../base/index.ts';
import { boxWithin, type Box } from '../geometry/index.ts';
import { coveredArea, mostThatFit } from './bound.ts';
import { fillBest } from './fill-best.ts';
import { reserved, type Repeated, type Spot } from './step-and-repeat.ts';

const mm = z.number().positive().max(10_000);
const shapeSchema = z.union([
  z.strictObject({ rect: z.tuple([mm, mm]) }),
  z.strictObject({ circle: mm }),
  z.strictObject({ rings: z.array(z.array(z.tuple([z.number(), z.number()])).min(3)).min(1) }),
]);

/** A request to fill sheets; see the command line's documentation. Lengths in mm. */
export const packRequestSchema = z.strictObject({
  sheet: z.strictObject({
    width: mm,
    height: mm,
    margin: z
      .tuple([z.number().min(0), z.number().min(0), z.number().min(0), z.number().min(0)])
      .default([0, 0, 0, 0]),
  }),
  keepClear: z
    .array(z.strictObject({ x: z.number(), y: z.number(), width: mm, height: mm }))
    .default([]),
  gap: z.number().min(0).max(1000).default(0),
  sheets: z.union([z.number().int().min(1).max(5000), z.literal('any')]).default(1),
  pieces: z
    .array(
      z.strictObject({
        id: z.string().min(1),
        shape: shapeSchema,
        quantity: z.union([z.number().int().min(0), z.literal('max')]),
        turns: z
          .union([z.enum(['none', 'half', 'quarter', 'any']), z.number().positive().max(360)])
          .default('none'),
      }),
    )
    .min(1),
});
export type PackRequest = z.infer<typeof packRequestSchema>;

/** One placed copy: its shape turned about its own origin, which is then moved to `x`, `y`. */
export interface PackPlacement {
  readonly id: string;
  readonly x: number;
  readonly y: number;
  readonly angle: number;
}

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
}

const MOST_COPIES = 5000;

interface Lot {
  readonly id: string;
  readonly shape: Repeated;
  readonly mayTurn: boolean;
  readonly area: number;
  readonly most: boolean;
  left: number;
  count: number;
}

interface OpenSheet {
  readonly placements: PackPlacement[];
  readonly taken: Box[];
  /** Whether rows alone would have held fewer. */
  mixed: boolean;
}

/** Fills sheets in rows, or with both directions mixed where that holds more: fixed quantities first, then those that want as many as fit. */
export function tryPack(input: unknown): Result<PackAnswer> {
  const read = packRequestSchema.safeParse(input);
  if (!read.success) {
    const [issue] = read.error.issues;
    const where = issue?.path.join('.') || 'the request';
    return bad(
      'pack/request',
      `${where}: ${issue?.message ?? 'is not as expected'}.`,
      'Write the request as documented under “peel pack”.',
      where,
    );
  }
  const request = read.data;
  const lots = toLots(request);
  return lots.ok ? pack(request, lots.value) : lots;
}

function toLots({ pieces, sheets }: PackRequest): Result<Lot[]> {
  const lots: Lot[] = [];
  for (const { id, shape, quantity, turns } of pieces) {
    if ('rings' in shape)
      return bad(
        'pack/rings',
        `Piece “${id}” is a free outline, which cannot be nested yet.`,
        'Accepted shapes are rect and circle.',
        id,
      );
    if (lots.some((lot) => lot.id === id))
      return bad(
        'pack/same-id',
        `Two pieces are called “${id}”.`,
        'Give each piece an id of its own.',
        id,
      );
    if (quantity === 'max' && sheets === 'any')
      return bad(
        'pack/endless',
        `“${id}” wants as many as fit on any number of sheets.`,
        'Say how many sheets there are, or how many are wanted.',
        id,
      );
    const round = 'circle' in shape;
    const [width, height] = round ? [shape.circle, shape.circle] : shape.rect;
    const mayTurn =
      turns === 'quarter' ||
      turns === 'any' ||
      (typeof turns === 'number' && Math.abs(90 % turns) < 1e-9);
    const area = round ? (Math.PI * width * width) / 4 : width * height;
    lots.push({
      id,
      shape: { width, height, round },
      mayTurn: mayTurn && !round,
      area,
      most: quantity === 'max',
      left: quantity === 'max' ? MOST_COPIES : quantity,
      count: 0,
    });
  }
  const total = lots.reduce((sum, { most, left }) => sum + (most ? 0 : left), 0);
  if (total > MOST_COPIES)
    return bad(
      'pack/too-many',
      `${total} copies are asked for; at most ${MOST_COPIES} can be placed.`,
      'Ask for fewer at a time.',
    );
  return good(lots);
}

function pack(request: PackRequest, lots: Lot[]): Result<PackAnswer> {
  const [top, right, bottom, left] = request.sheet.margin;
  const area: Box = {
    left,
    top,
    right: request.sheet.width - right,
    bottom: request.sheet.height - bottom,
  };
  if (area.right <= area.left || area.bottom <= area.top)
    return bad(
      'pack/no-room',
      'The margins leave nothing of the sheet.',
      'Make the margins smaller.',
      'sheet.margin',
    );
  const zones = request.keepClear.map(({ x, y, width, height }) => ({
    left: x,
    top: y,
    right: x + width,
    bottom: y + height,
  }));
  const sheets: OpenSheet[] = [];
  const most = request.sheets === 'any' ? MOST_COPIES : request.sheets;
  while (sheets.length < most && lots.some(({ left: more }) => more > 0)) {
    const sheet: OpenSheet = { placements: [], taken: [...zones], mixed: false };
    fill(sheet, lots, area, request.gap);
    if (sheet.placements.length === 0) break;
    sheets.push(sheet);
  }
  return good(answer(request, lots, { sheets, area, zones }));
}

/** Larger fixed lots first; lots without a number then take rows in turn, so that they share by area. */
function fill(sheet: OpenSheet, lots: readonly Lot[], area: Box, gap: number): void {
  const fixed = lots.filter(({ most }) => !most).sort((one, other) => other.area - one.area);
  for (const lot of fixed) placeSome(sheet, lot, { area, gap, limit: lot.left, whole: true });
  const hungry = lots.filter(({ most }) => most);
  const shares = new Map(hungry.map((lot) => [lot, 0]));
  while (shares.size > 0) {
    const [lot] = [...shares].reduce((least, next) => (next[1] < least[1] ? next : least));
    const row = Math.max(1, Math.floor((area.right - area.left + gap) / (lot.shape.width + gap)));
    const limit = shares.size === 1 ? lot.left : Math.min(row, lot.left);
    const count = placeSome(sheet, lot, { area, gap, limit, whole: shares.size === 1 });
    if (count === 0) shares.delete(lot);
    else shares.set(lot, (shares.get(lot) ?? 0) + count * lot.area);
  }
}

function placeSome(
  sheet: OpenSheet,
  lot: Lot,
  { area, gap, limit, whole }: { area: Box; gap: number; limit: number; whole: boolean },
): number {
  if (limit === 0) return 0;
  const room = { area, taken: sheet.taken, gap };
  const { spots: found, method } = fillBest(lot.shape, room, {
    mayTurn: lot.mayTurn,
    enough: whole ? limit : 0,
  });
  const spots = found.slice(0, limit);
  if (method === 'best-fit') sheet.mixed = true;
  for (const spot of spots) {
    sheet.placements.push(placement(lot, spot));
    sheet.taken.push(reserved(spot, lot.shape, gap));
  }
  lot.left -= spots.length;
  lot.count += spots.length;
  return spots.length;
}

/** From the centre to the shape's own origin: a circle's centre, a rectangle's top left corner. */
function placement(lot: Lot, spot: Spot): PackPlacement {
  const { id, shape } = lot;
  if (shape.round) return { id, x: spot.x, y: spot.y, angle: 0 };
  return spot.angle === 90
    ? { id, x: spot.x + shape.height / 2, y: spot.y - shape.width / 2, angle: 90 }
    : { id, x: spot.x - shape.width / 2, y: spot.y - shape.height / 2, angle: 0 };
}

function answer(
  request: PackRequest,
  lots: readonly Lot[],
  { sheets, area, zones }: { sheets: readonly OpenSheet[]; area: Box; zones: readonly Box[] },
): PackAnswer {
  const within = zones
    .filter((zone) => !boxWithin(area, zone))
    .map((zone) => ({
      left: Math.max(zone.left, area.left),
      top: Math.max(zone.top, area.top),
      right: Math.min(zone.right, area.right),
      bottom: Math.min(zone.bottom, area.bottom),
    }));
  const free = (area.right - area.left) * (area.bottom - area.top) - coveredArea(within);
  const placedArea = lots.reduce((sum, { count, area: each }) => sum + count * each, 0);
  const [only] = lots;
  const many = request.sheets === 'any' ? sheets.length : request.sheets;
  const bound =
    lots.length === 1 && only
      ? many * mostThatFit(only.shape, area, request.gap, { taken: zones, mayTurn: only.mayTurn })
      : undefined;
  const wanted = only && !only.most ? only.count + only.left : Infinity;
  return {
    sheets: sheets.map(({ placements }) => ({ placements })),
    placed: Object.fromEntries(lots.map(({ id, count }) => [id, count])),
    left: Object.fromEntries(
      lots.filter(({ most, left }) => !most && left > 0).map(({ id, left }) => [id, left]),
    ),
    ...(bound !== undefined && only ? { bound: { [only.id]: bound } } : {}),
    proved: bound !== undefined && only !== undefined && only.count === Math.min(bound, wanted),
    used: sheets.length ? placedArea / (free * sheets.length) : 0,
    method: sheets.some(({ mixed }) => mixed) ? 'best-fit' : 'step-and-repeat',
  };
}
