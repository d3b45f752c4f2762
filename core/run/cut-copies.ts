import { knifeRings, orderCuts } from '../cutting/index.ts';
import { fitSimilarity, mapRing, type Ring } from '../geometry/index.ts';
import type { CompiledSheet, SheetCopy } from '../sheet/index.ts';
import type { CutPath } from './devices.ts';

/** A copy and the ring along which it was cut, point for point that of its edge. */
export interface CutCopy {
  readonly copy: SheetCopy;
  readonly ring: Ring;
  /** Whether the knife went through all of it. */
  readonly clean: boolean;
}

/**
 * Where each copy of a sheet was cut, of those whose lines the knife came to. A copy that shares its
 * lines with neighbours has no line of its own: its edge lies as all lines were cut.
 */
export function cutCopies(sheet: CompiledSheet, cuts: readonly CutPath[]): CutCopy[] {
  // The knife draws one line for each ring: holes are lines of their own.
  const lines = orderCuts(sheet.cuts).flatMap((cut) =>
    knifeRings(cut).map((line) => {
      const isOutline = line === cut.rings[0] && !cut.open;
      return { line, start: cut.starts[0] ?? 0, edge: isOutline ? cut.of.rings : undefined };
    }),
  );
  if (cuts.length === 0 || cuts.length > lines.length) return [];
  const own = new Map(
    lines.flatMap(({ edge, start }, at) => {
      const cut = cuts[at];
      return edge && cut ? [[edge, { ...cut, ring: begunAt(cut.ring, start) }] as const] : [];
    }),
  );
  const pairs = lines.flatMap(({ line }, at) =>
    line.flatMap((from, point) => {
      const to = cuts[at]?.ring[point];
      return to ? [{ from, to }] : [];
    }),
  );
  const whole = fitSimilarity(pairs);
  const finished = cuts.length === lines.length;
  const ownLines = new Set<unknown>(sheet.cuts.map(({ rings }) => rings));
  return sheet.copies.flatMap((copy): CutCopy[] => {
    const cut = own.get(copy.trim);
    if (cut) return [{ copy, ring: cut.ring, clean: cut.clean }];
    const [edge] = copy.trim;
    if (!edge || ownLines.has(copy.trim) || !finished) return [];
    return [{ copy, ring: mapRing(edge, whole), clean: cuts.every(({ clean }) => clean) }];
  });
}

/** The ring of an edge out of one that was begun at a later point of it. */
function begunAt(ring: Ring, start: number): Ring {
  const first = start ? ring.length - start : 0;
  return first ? [...ring.slice(first), ...ring.slice(0, first)] : ring;
}
