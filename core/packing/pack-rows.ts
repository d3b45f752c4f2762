import type { Box } from '../geometry/index.ts';
import { fillBest } from './fill-best.ts';
import type { Lot } from './pack-request.ts';
import { reserved, type Repeated, type Room, type Spot } from './step-and-repeat.ts';

/** One placed copy: its shape turned about its own origin, which is then moved to `x`, `y`. */
export interface PackPlacement {
  readonly id: string;
  readonly x: number;
  readonly y: number;
  readonly angle: number;
}

/** Sheets that are filled. */
export interface Packed {
  readonly sheets: readonly (readonly PackPlacement[])[];
  readonly method: 'step-and-repeat' | 'best-fit' | 'nest';
}

interface Row {
  readonly lot: Lot;
  readonly shape: Repeated;
  left: number;
}

interface OpenSheet {
  readonly placements: PackPlacement[];
  readonly taken: Box[];
  /** Whether rows alone would have held fewer. */
  mixed: boolean;
}

/** Fills sheets in rows, or with both directions mixed where that holds more: fixed quantities first, then those that want as many as fit. */
export function packRows(lots: readonly Lot[], room: Room, most: number): Packed {
  const rows = lots.flatMap((lot): Row[] =>
    lot.shape ? [{ lot, shape: lot.shape, left: lot.wanted }] : [],
  );
  const sheets: OpenSheet[] = [];
  while (sheets.length < most && rows.some(({ left }) => left > 0)) {
    const sheet: OpenSheet = { placements: [], taken: [...room.taken], mixed: false };
    fill(sheet, rows, room);
    if (sheet.placements.length === 0) break;
    sheets.push(sheet);
  }
  return {
    sheets: sheets.map(({ placements }) => placements),
    method: sheets.some(({ mixed }) => mixed) ? 'best-fit' : 'step-and-repeat',
  };
}

/** Larger fixed lots first; lots without a number then take rows in turn, so that they share by area. */
function fill(sheet: OpenSheet, rows: readonly Row[], room: Room): void {
  const { area, gap } = room;
  const fixed = rows
    .filter(({ lot }) => !lot.most)
    .sort((one, other) => other.lot.area - one.lot.area);
  for (const row of fixed) placeSome(sheet, row, { room, limit: row.left, whole: true });
  const shares = new Map(rows.filter(({ lot }) => lot.most).map((row) => [row, 0]));
  while (shares.size > 0) {
    const [row] = [...shares].reduce((least, next) => (next[1] < least[1] ? next : least));
    const across = Math.max(
      1,
      Math.floor((area.right - area.left + gap) / (row.shape.width + gap)),
    );
    const limit = shares.size === 1 ? row.left : Math.min(across, row.left);
    const count = placeSome(sheet, row, { room, limit, whole: shares.size === 1 });
    if (count === 0) shares.delete(row);
    else shares.set(row, (shares.get(row) ?? 0) + count * row.lot.area);
  }
}

function placeSome(
  sheet: OpenSheet,
  row: Row,
  { room: { area, gap }, limit, whole }: { room: Room; limit: number; whole: boolean },
): number {
  if (limit === 0) return 0;
  const { spots: found, method } = fillBest(
    row.shape,
    { area, taken: sheet.taken, gap },
    { mayTurn: row.lot.angles.includes(90), enough: whole ? limit : 0 },
  );
  const spots = found.slice(0, limit);
  if (method === 'best-fit') sheet.mixed = true;
  for (const spot of spots) {
    sheet.placements.push(placement(row, spot));
    sheet.taken.push(reserved(spot, row.shape, gap));
  }
  row.left -= spots.length;
  return spots.length;
}

/** From the centre to the shape's own origin: a circle's centre, a rectangle's top left corner. */
function placement({ lot: { id }, shape }: Row, spot: Spot): PackPlacement {
  if (shape.round) return { id, x: spot.x, y: spot.y, angle: 0 };
  return spot.angle === 90
    ? { id, x: spot.x + shape.height / 2, y: spot.y - shape.width / 2, angle: 90 }
    : { id, x: spot.x - shape.width / 2, y: spot.y - shape.height / 2, angle: 0 };
}
