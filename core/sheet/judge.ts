import {
  boxesMeet,
  boxWithin,
  corners,
  distanceBetween,
  grown,
  placed,
  type Box,
  type Point,
} from '../geometry/index.ts';
import { placeEdge } from '../shape/index.ts';
import { keepClear, printable, type Stock } from '../stock/index.ts';
import type { Arrangeable } from './arrange.ts';
import { findGap, type SheetCopy } from './sheet-copies.ts';
import { nearestFree } from '../packing/index.ts';

/** What a copy may not touch on its sheet. */
export interface Surroundings {
  readonly stock: Stock;
  readonly zones: readonly Box[];
  readonly others: readonly SheetCopy[];
  /** Between copies, edge to edge, mm. */
  readonly gap: number;
}

/** What surrounds a copy on a sheet of a job where others lie. Labels of a die-cut sheet need no gap. */
export function surroundingsOf(
  { stock, plan }: Pick<Arrangeable, 'stock' | 'plan'>,
  others: readonly SheetCopy[],
): Surroundings {
  const gap = plan.arrangement === 'spots' ? 0 : plan.gap;
  return { stock, zones: keepClear(stock, plan.marks), others, gap };
}

/** What a place is like for a copy. */
export interface PlaceJudged {
  /** The distance to the nearest other copy when it is near, mm; negative where they overlap. */
  readonly gap: number | undefined;
  /** Whether it is as it should be, poorer than asked for, or cannot be used. */
  readonly state: 'fine' | 'look' | 'stop';
}

/** Two outlines may come so much nearer than asked, mm: what no knife and no eye tells. */
const SLACK = 0.05;
const TOUCH = 0.01;

/** A copy with its lines as it would stand at another place of its sheet. */
export function copyAt(copy: SheetCopy, { x, y }: Point): SheetCopy {
  const { placement, box } = copy;
  const [dx, dy] = [x - placement.x, y - placement.y];
  const map = placed(x, y, placement.angle);
  return {
    ...copy,
    placement: { ...placement, x, y },
    map,
    box: { left: box.left + dx, right: box.right + dx, top: box.top + dy, bottom: box.bottom + dy },
    trim: placeEdge(copy.piece.rings, map),
    kissCuts: placeEdge(copy.piece.kissCuts, map),
    creases: placeEdge(copy.piece.creases, map),
  };
}

/** Whether a copy reaches into a keep-clear zone. */
export function meetsZone({ box, trim }: SheetCopy, zone: Box): boolean {
  return boxesMeet(box, zone, TOUCH) && distanceBetween(trim, [corners(zone)]) < -TOUCH;
}

/**
 * Judges the place of a copy.
 * @param near within how many mm the distance to another copy is told
 */
export function judgeCopy(copy: SheetCopy, around: Surroundings, near = around.gap): PlaceJudged {
  let gap: number | undefined;
  for (const other of around.others) {
    const found = findGap(copy, other, Math.max(near, TOUCH));
    if (found !== undefined && found < (gap ?? Infinity)) gap = found;
  }
  const inZone = around.zones.some((zone) => meetsZone(copy, zone));
  if ((gap ?? 1) < -TOUCH || inZone) return { gap, state: 'stop' };
  const off = !boxWithin(copy.box, printable(around.stock), TOUCH);
  return { gap, state: off || (gap ?? Infinity) < around.gap - SLACK ? 'look' : 'fine' };
}

/** The nearest place at which a copy is as it should be; undefined when there is none within reach, mm. */
export function nearestPlace(
  copy: SheetCopy,
  around: Surroundings,
  reach: number,
): Point | undefined {
  const box = grown(copy.box, reach + around.gap);
  const gap = around.gap > 0 ? around.gap + SLACK : 0;
  const near = { ...around, gap, others: around.others.filter((one) => boxesMeet(one.box, box)) };
  const room = printable(around.stock);
  const isFree = (at: Point): boolean => {
    const there = copyAt(copy, at);
    return boxWithin(there.box, room, TOUCH) && judgeCopy(there, near).state === 'fine';
  };
  const found = nearestFree(copy.placement, isFree, reach);
  return found && inLine(found, copy.placement, isFree);
}

/** A free place as a person would say it: straight beside another one and in tenths, where that is free too. */
function inLine({ x, y }: Point, from: Point, isFree: (at: Point) => boolean): Point {
  const said = (value: number, straight: number): number[] => [
    ...(Math.abs(value - straight) < 0.5 ? [straight] : []),
    ...[0, 1, -1].map((more) => (Math.round(value * 10) + more) / 10),
  ];
  const places = said(x, from.x).flatMap((across) =>
    said(y, from.y).map((down) => ({ x: across, y: down })),
  );
  return places.find(isFree) ?? { x, y };
}
