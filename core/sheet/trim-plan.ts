import { boxesMeet, type Box } from '../geometry/index.ts';
import type { SheetCopy } from './sheet-copies.ts';

/** A straight cut with a guillotine trimmer through the part of the sheet that is in the hand. */
export interface TrimCut {
  /** An upright cut goes from top to bottom, a level one from side to side. */
  readonly axis: 'upright' | 'level';
  /** Where it is on the sheet, mm from its left or top. */
  readonly at: number;
  /** From where to where it goes on the sheet, mm. */
  readonly from: number;
  readonly to: number;
  /** How far it is from the left or top side of the part in the hand, mm: what the trimmer is set to. */
  readonly measure: number;
}

/** The cuts in the order in which they are made. */
export interface TrimPlan {
  readonly cuts: readonly TrimCut[];
}

/** Why a sheet cannot be cut by a trimmer alone. */
export type NoTrimPlan = 'shapes' | 'crossed';

const EXACT = 0.01;

/**
 * The straight cuts that free every label of a sheet, each through the whole part that is in the hand
 * (guillotine cuts). Begun with the upright cuts or with the level ones, whichever needs fewer; then
 * both take turns on the parts.
 * @returns why there is no plan where labels are not straight, or some cut would go through another label
 */
export function trimPlan(
  copies: readonly SheetCopy[],
  sheet: { readonly width: number; readonly height: number },
): TrimPlan | NoTrimPlan {
  if (!copies.every(isStraight)) return 'shapes';
  const boxes = copies.map(({ box }) => box);
  const whole: Box = { left: 0, top: 0, right: sheet.width, bottom: sheet.height };
  if (boxes.some((box, at) => boxes.slice(at + 1).some((other) => boxesMeet(box, other, EXACT))))
    return 'crossed';
  const plans = (['level', 'upright'] as const).flatMap((axis) => {
    const cuts = cutsFor(whole, boxes, axis);
    return cuts ? [cuts] : [];
  });
  const [first, second] = plans;
  if (!first) return 'crossed';
  return { cuts: second && second.length < first.length ? second : first };
}

/** Whether a copy is a rectangle that lies straight. Round corners are left to be cut by hand. */
const isStraight = ({ piece, placement }: SheetCopy): boolean =>
  piece.piece.edge.kind === 'rectangle' && Math.abs(placement.angle % 90) < 1e-6;

/** The cuts along one axis, then those of each part that holds labels; undefined where nothing parts them. */
function cutsFor(
  part: Box,
  boxes: readonly Box[],
  axis: TrimCut['axis'],
  stuck = false,
): TrimCut[] | undefined {
  const [near, far] =
    axis === 'upright' ? (['left', 'right'] as const) : (['top', 'bottom'] as const);
  const lines = distinct(boxes.flatMap((box) => [box[near], box[far]])).filter(
    (at) =>
      at > part[near] + EXACT &&
      at < part[far] - EXACT &&
      boxes.every((box) => box[far] <= at + EXACT || box[near] >= at - EXACT),
  );
  const other = axis === 'upright' ? 'level' : 'upright';
  if (lines.length === 0) {
    if (stuck) return boxes.length === 1 ? [] : undefined;
    return cutsFor(part, boxes, other, true);
  }
  const cuts: TrimCut[] = [];
  const parts: TrimCut[][] = [];
  let from = part[near];
  for (const at of [...lines, part[far]]) {
    if (at < part[far] - EXACT)
      cuts.push({
        axis,
        at,
        from: axis === 'upright' ? part.top : part.left,
        to: axis === 'upright' ? part.bottom : part.right,
        measure: at - from,
      });
    const strip = { ...part, [near]: from, [far]: at };
    const inside = boxes.filter((box) => box[near] >= from - EXACT && box[far] <= at + EXACT);
    if (inside.length > 0) {
      const rest = cutsFor(strip, inside, other);
      if (!rest) return undefined;
      parts.push(rest);
    }
    from = at;
  }
  return [...cuts, ...parts.flat()];
}

/** Values in order, those that are the same to the knife once. */
function distinct(values: readonly number[]): number[] {
  return [...values]
    .sort((one, other) => one - other)
    .filter((value, at, all) => at === 0 || value - (all[at - 1] as number) > EXACT);
}

/** A short line at the rim of the labels that shows where a cut goes, mm. */
export interface CropMark {
  readonly x1: number;
  readonly y1: number;
  readonly x2: number;
  readonly y2: number;
}

/** How long crop marks are, and how far they keep from what is printed, mm. */
const LENGTH = 5;
const AWAY = 1.5;

/**
 * Crop marks beside the outermost labels, at every side of one; shorter where the paper ends.
 * Marks that would stand in a keep-clear zone are left out.
 */
export function cropMarks(
  copies: readonly SheetCopy[],
  { room, zones }: { room: Box; zones: readonly Box[] },
): CropMark[] {
  const straight = copies.filter(isStraight);
  const reach = Math.max(0, ...straight.map(({ bleed }) => bleed)) + AWAY;
  const boxes = straight.map(({ box }) => box);
  const marks = distinct(boxes.flatMap(({ left, right }) => [left, right])).flatMap((x) => {
    const along = boxes.filter((box) => box.left <= x + EXACT && box.right >= x - EXACT);
    const top = Math.min(...along.map((box) => box.top)) - reach;
    const bottom = Math.max(...along.map((box) => box.bottom)) + reach;
    return [
      { x1: x, y1: Math.max(room.top, top - LENGTH), x2: x, y2: top },
      { x1: x, y1: bottom, x2: x, y2: Math.min(room.bottom, bottom + LENGTH) },
    ];
  });
  const rows = distinct(boxes.flatMap(({ top, bottom }) => [top, bottom])).flatMap((y) => {
    const along = boxes.filter((box) => box.top <= y + EXACT && box.bottom >= y - EXACT);
    const left = Math.min(...along.map((box) => box.left)) - reach;
    const right = Math.max(...along.map((box) => box.right)) + reach;
    return [
      { x1: Math.max(room.left, left - LENGTH), y1: y, x2: left, y2: y },
      { x1: right, y1: y, x2: Math.min(room.right, right + LENGTH), y2: y },
    ];
  });
  return [...marks, ...rows].filter(({ x1, y1, x2, y2 }) => {
    const box = { left: x1 - 0.2, top: y1 - 0.2, right: x2 + 0.2, bottom: y2 + 0.2 };
    return Math.max(x2 - x1, y2 - y1) > 1 && !zones.some((zone) => boxesMeet(zone, box));
  });
}
