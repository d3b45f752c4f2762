import * as z from 'zod';
import { materialSchema } from './material.ts';
import { spotCount, stockSchema } from './stock.ts';

const spotNumber = z.number().int().min(0).max(20_000);

/** Something of the Stock room that is on hand: a sheet of a material, in packs, loose and started. */
export const supplySchema = z.object({
  id: z.string().min(1).max(200),
  stock: stockSchema,
  /** With what a pack of it costs. */
  material: materialSchema,
  /** Unopened packs. */
  packs: z.number().int().min(0).max(10_000),
  /** Whole sheets out of opened packs. */
  loose: z.number().int().min(0).max(100_000),
  /** Sheets of which some labels are gone: their numbers from 0, row by row. */
  started: z.array(z.object({ used: z.array(spotNumber) })).max(100),
});
export type Supply = z.infer<typeof supplySchema>;

/** How many whole sheets are on hand, in packs and loose. */
export function supplySheets({ packs, loose, material }: Supply): number {
  return packs * (material.pack?.sheets ?? 0) + loose;
}

/**
 * The supply after labels of a started sheet were used. `sheet` is its number among the started ones;
 * one past the last starts a loose sheet. A sheet with no label left is thrown away, one with all its
 * labels is a loose sheet again.
 */
export function withUsed(supply: Supply, sheet: number, used: readonly number[]): Supply {
  const all = supply.stock.spots ? spotCount(supply.stock.spots) : 0;
  const distinct = [...new Set(used)].filter((spot) => spot < all).sort((a, b) => a - b);
  const fresh = sheet >= supply.started.length;
  if (fresh && supply.loose === 0 && supply.packs > 0) {
    const opened = { packs: supply.packs - 1, loose: supply.material.pack?.sheets ?? 1 };
    return withUsed({ ...supply, ...opened }, sheet, used);
  }
  const others = supply.started.filter((_, at) => at !== sheet);
  const loose = supply.loose - (fresh ? 1 : 0);
  if (distinct.length === 0) return { ...supply, started: others, loose: loose + 1 };
  const kept = Math.max(0, loose);
  if (distinct.length >= all) return { ...supply, started: others, loose: kept };
  const started = fresh
    ? [...supply.started, { used: distinct }]
    : supply.started.map((one, at) => (at === sheet ? { used: distinct } : one));
  return { ...supply, started, loose: kept };
}

/**
 * The supply after whole sheets were used: loose ones first, then out of packs that are opened. What
 * was never noted as on hand cannot be missed.
 */
export function withSheetsGone(supply: Supply, count: number): Supply {
  const inPack = supply.material.pack?.sheets ?? 1;
  const missing = Math.max(0, count - supply.loose);
  const opened = Math.min(supply.packs, Math.ceil(missing / inPack));
  const loose = supply.loose + opened * inPack - count;
  return { ...supply, packs: supply.packs - opened, loose: Math.max(0, loose) };
}

/**
 * The supply after a run on sheets with labels of their own: of each sheet, which labels it used. The
 * first may be a started one, of which some were gone before.
 */
export function withRun(
  supply: Supply,
  sheets: readonly (readonly number[])[],
  gone: readonly number[],
): Supply {
  return sheets.reduce((now, used, at) => {
    if (at > 0 || gone.length === 0) return withUsed(now, now.started.length, used);
    const started = now.started.findIndex((one) => isAlike(one.used, gone));
    const all = [...gone, ...used];
    return withUsed(now, started < 0 ? now.started.length : started, all);
  }, supply);
}

const isAlike = (one: readonly number[], other: readonly number[]): boolean =>
  one.length === other.length && one.every((spot) => other.includes(spot));
