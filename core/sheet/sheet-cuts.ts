import type { CompiledPiece } from '../piece/index.ts';
import { edgePart, shareLines, type CutKind, type CutLine } from '../shape/index.ts';
import type { SheetCopy } from './sheet-copies.ts';
import type { Plan } from './plan.ts';

/** A line for the knife on a sheet, and the copies that it belongs to: several where they share it. */
export interface SheetCut extends CutLine {
  readonly copies: readonly string[];
}

/** How the edge of a piece is cut: one with stickers in it falls out whole. */
export function edgeCut({ kissCuts }: CompiledPiece, plan: Plan): Plan['cut'] {
  return kissCuts.length ? 'through' : plan.cut;
}

/** What is cut of the copies on a sheet. Neighbours without a gap share the lines between them. */
export function sheetCuts(copies: readonly SheetCopy[], plan: Plan): SheetCut[] {
  const own = copies.flatMap(({ placement, kissCuts, creases }): SheetCut[] => {
    const of = [placement.copy];
    return [
      ...kissCuts.map((ring): SheetCut => ({
        kind: 'kiss',
        rings: edgePart(ring),
        open: false,
        copies: of,
      })),
      ...(creases.length
        ? [{ kind: 'crease' as const, rings: creases, open: true, copies: of }]
        : []),
    ];
  });
  const edges = (['kiss', 'through'] as const).flatMap((kind) => {
    const alike = copies.filter(({ piece }) => edgeCut(piece, plan) === kind);
    return edgesOf(alike, kind);
  });
  return [...edges, ...own];
}

function edgesOf(copies: readonly SheetCopy[], kind: CutKind): SheetCut[] {
  const { lines, whole } = shareLines(copies.map(({ trim }) => trim));
  const name = (at: number): string => copies[at]?.placement.copy ?? '';
  return [
    ...whole.flatMap((at): SheetCut[] => {
      const copy = copies[at];
      return copy ? [{ kind, rings: copy.trim, open: false, copies: [name(at)] }] : [];
    }),
    ...lines.map(({ line, of }) => ({ kind, rings: line, open: true, copies: of.map(name) })),
  ];
}

/** Length of the knife's way along cuts, mm. */
export function cutLength(cuts: readonly CutLine[]): number {
  return cuts.reduce(
    (sum, cut) => sum + cut.rings.reduce((all, ring) => all + lengthOf(ring, cut), 0),
    0,
  );
}

function lengthOf(ring: CutLine['rings'][number], { open }: CutLine): number {
  return ring.reduce((sum, point, at) => {
    const next = ring[at + 1] ?? (open ? point : ring[0]) ?? point;
    return sum + Math.hypot(next.x - point.x, next.y - point.y);
  }, 0);
}
