import { ornamentOf, type OrnamentName } from '../art/index.ts';
import type { LabelField, PieceElement } from '../piece/index.ts';
import type { Layout } from './layout.ts';
import type { OrnamentLook, TextLook } from './looks.ts';

/** A part of a room: shares of its width and height, about its middle. */
export interface Region {
  readonly x: number;
  readonly y: number;
  readonly w: number;
  readonly h: number;
}

export const WHOLE: Region = { x: 0, y: 0, w: 1, h: 0.97 };

interface RowSize {
  /** How high it is beside the others. */
  readonly weight: number;
  /** Its height at most, as a share of the region's width. */
  readonly most: number;
  /** Its width, as a share of the region's. */
  readonly w: number;
}
type StackRow = RowSize &
  (
    | { readonly field: LabelField; readonly look: TextLook }
    | { readonly ornament: OrnamentName; readonly look: OrnamentLook; readonly stays?: boolean }
    | { readonly picture: true }
    | { readonly rule: string }
  );

const GAP = 0.32; // of the mean height of a row
const SPREAD = 0.9; // of that again, where there is room

/** The name of a label, as large as the others let it be. */
export const name = (look: TextLook = {}, w = 0.98, weight = 3.2): StackRow => ({
  ...{ field: 'name', weight, most: 0.42, w },
  look,
});

/** The line about it. */
export const line = (look: TextLook = {}, w = 0.84, weight = 1.1): StackRow => ({
  ...{ field: 'line', weight, most: 0.12, w },
  look: { face: 'text', ...look },
});

/** Who made it, in spaced capitals. */
export const maker = (look: TextLook = {}, w = 0.76, weight = 0.85): StackRow => ({
  ...{ field: 'maker', weight, most: 0.08, w },
  look: { face: 'text', case: 'upper', tracking: 12, mayWiden: true, ...look },
});

/** An ornament between rows of words. */
export const between = (
  ornament: OrnamentName,
  look: OrnamentLook = {},
  w = 0.55,
  weight = 0.7,
): StackRow => ({ ornament, look, w, weight, most: w / ornamentOf(ornament).ratio });

/** An ornament that stays above or below words, whatever is said there. */
export const flourish: typeof between = (...given) => ({ ...between(...given), stays: true });

/** A thin line between rows of words. */
export const rule = (color: string, w = 0.6): StackRow => ({
  rule: color,
  w,
  weight: 0.12,
  most: 0.02,
});

/** The picture above or among words. */
export const picture = (weight = 4.6, w = 0.9): StackRow => ({ picture: true, w, weight, most: 1 });

/** Whether a row stands at either end, too: not what only parts words. */
const isKept = (row: StackRow): boolean =>
  'field' in row || 'picture' in row || ('stays' in row && row.stays === true);

/** Rows below each other in a part of a room; what the label does not say leaves no gap. */
export function stack(
  l: Layout,
  rows: readonly StackRow[],
  region: Region = WHOLE,
): PieceElement[] {
  const said = rows.filter((row) => !('field' in row) || l.said(row.field) !== '');
  const kept = said.filter(
    (row, at) =>
      (isKept(row) || (at > 0 && at < said.length - 1)) && !(l.given.room.bent && 'rule' in row),
  );
  if (kept.length === 0) return [];
  const [across, down] = [region.w * l.width, region.h * l.height];
  const weights = kept.reduce((sum, { weight }) => sum + weight, 0);
  const unit = down / (weights + GAP * (kept.length - 1));
  const heights = kept.map(({ weight, most }) => Math.min(weight * unit, most * across));
  const taken = heights.reduce((sum, height) => sum + height, 0);
  const least = GAP * unit;
  const gap =
    kept.length > 1
      ? Math.min((down - taken) / (kept.length - 1), least + SPREAD * Math.min(unit, across * 0.09))
      : 0;
  let top = region.y * l.height - (taken + gap * (kept.length - 1)) / 2;
  return kept.flatMap((row, at) => {
    const height = heights[at] ?? 0;
    const spot = {
      x: region.x,
      y: (top + height / 2) / l.height,
      w: row.w * region.w,
      h: height / l.height,
    };
    top += height + gap;
    if ('field' in row) {
      const align = row.look.align;
      const x = align === 'left' ? region.x - ((1 - row.w) * region.w) / 2 : region.x;
      return l.says(row.field, { ...spot, x }, row.look);
    }
    if ('picture' in row) return [l.picture(spot)];
    if ('rule' in row) return l.rule(spot, row.rule);
    return [l.ornament(row.ornament, spot, row.look)];
  });
}
