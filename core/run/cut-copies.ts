import { fitSimilarity, mapRing, type Ring } from '../geometry/index.ts';
import { orderCuts } from '../output/index.ts';
import type { CompiledSheet, SheetCopy } from '../sheet/index.ts';
import type { CutPath } from './devices.ts';

/** A copy and the ring along which it was cut, point for point that of its edge. */
export interface CutCopy {
  readonly copy: SheetCopy;
  readonly ring: Ring;
}

/**
 * Where each copy of a sheet was cut. A copy that shares its lines with neighbours has no line of its
 * own: its edge lies as all lines were cut. Empty where the knife did not follow all lines.
 */
export function cutCopies(sheet: CompiledSheet, cuts: readonly CutPath[]): CutCopy[] {
  // The knife draws one line for each ring: holes are lines of their own.
  const lines = orderCuts(sheet.cuts).flatMap(({ rings }) =>
    rings.map((line, at) => ({ line, edge: at === 0 ? rings : undefined })),
  );
  if (cuts.length === 0 || cuts.length !== lines.length) return [];
  const own = new Map(lines.map(({ edge }, at) => [edge, cuts[at]?.ring]));
  const pairs = lines.flatMap(({ line }, at) =>
    line.flatMap((from, point) => {
      const to = cuts[at]?.ring[point];
      return to ? [{ from, to }] : [];
    }),
  );
  const whole = fitSimilarity(pairs);
  return sheet.copies.flatMap((copy): CutCopy[] => {
    const [edge] = copy.trim;
    return edge ? [{ copy, ring: own.get(copy.trim) ?? mapRing(edge, whole) }] : [];
  });
}
