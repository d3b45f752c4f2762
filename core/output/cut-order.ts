import type { Point, Ring } from '../geometry/index.ts';
import type { CutKind } from '../shape/index.ts';
import type { CompiledSheet } from '../sheet/index.ts';

/** A cut at its turn. */
export type OrderedCut = CompiledSheet['cuts'][number] & { readonly order: number };

/** Folds first, then the label layer, then what falls out: inner before outer. */
const KINDS: readonly CutKind[] = ['crease', 'kiss', 'through'];

/** The cuts of a sheet in order: by kind, and in each kind always the nearest next one. */
export function orderCuts(cuts: CompiledSheet['cuts']): OrderedCut[] {
  const ordered: OrderedCut[] = [];
  let at: Point = { x: 0, y: 0 };
  for (const kind of KINDS) {
    const waiting = cuts.filter((cut) => cut.kind === kind);
    while (waiting.length > 0) {
      const distances = waiting.map((cut) => distance(at, cut.rings[0]));
      const [next] = waiting.splice(distances.indexOf(Math.min(...distances)), 1);
      if (!next) break;
      ordered.push({ ...next, order: ordered.length });
      at = next.rings[0]?.[0] ?? at;
    }
  }
  return ordered;
}

const distance = (at: Point, ring: Ring | undefined): number => {
  const start = ring?.[0];
  return start ? Math.hypot(start.x - at.x, start.y - at.y) : Infinity;
};
