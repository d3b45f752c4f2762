import type { Point } from '../geometry/index.ts';
import { edgePart, type CutKind } from '../shape/index.ts';
import type { SheetCut } from '../sheet/index.ts';

/** A cut at its turn. */
export type OrderedCut = SheetCut & { readonly order: number };

/** Folds first, then the label layer, then what falls out: inner before outer. */
const KINDS: readonly CutKind[] = ['crease', 'kiss', 'through'];

/** The cuts of a sheet in order: by kind, and in each kind always the nearest next one. */
export function orderCuts(cuts: readonly SheetCut[]): OrderedCut[] {
  const ordered: OrderedCut[] = [];
  let at: Point = { x: 0, y: 0 };
  for (const kind of KINDS) {
    const waiting = cuts.filter((cut) => cut.kind === kind);
    while (waiting.length > 0) {
      const turned = waiting.map((cut) => turnedTo(at, cut));
      const distances = turned.map((cut) => distance(at, startOf(cut)));
      const nearest = distances.indexOf(Math.min(...distances));
      waiting.splice(nearest, 1);
      const next = turned[nearest];
      if (!next) break;
      ordered.push({ ...next, order: ordered.length });
      at = endOf(next) ?? at;
    }
  }
  return ordered;
}

/** A single open line as the knife begins it: at the end that is nearer. */
function turnedTo(at: Point, cut: SheetCut): SheetCut {
  const [line] = cut.rings;
  if (!cut.open || !line || cut.rings.length > 1) return cut;
  return distance(at, endOf(cut)) < distance(at, line[0])
    ? { ...cut, rings: edgePart([...line].reverse()) }
    : cut;
}

const startOf = ({ rings }: SheetCut): Point | undefined => rings[0]?.[0];

/** Where the knife is when it has gone along all lines of a cut. */
function endOf({ rings, open }: SheetCut): Point | undefined {
  const last = rings[rings.length - 1];
  return open ? last?.[last.length - 1] : last?.[0];
}

const distance = (at: Point, start: Point | undefined): number =>
  start ? Math.hypot(start.x - at.x, start.y - at.y) : Infinity;
