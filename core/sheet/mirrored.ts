import type { DrawingNode } from '../drawing/index.ts';
import { compose, invert, type Affine, type Box } from '../geometry/index.ts';
import { placeEdge } from '../shape/index.ts';
import type { Mark, Stock } from '../stock/index.ts';
import { copyNode, type CompiledSheet } from './compile.ts';
import type { CopyId } from './plan.ts';
import type { SheetCopy } from './sheet-copies.ts';

const FLIP: Affine = [-1, 0, 0, 1, 0, 0];

/**
 * A sheet as it is printed for being turned over: seen in a mirror as a whole, its marks too. Where the
 * sheet has places of its own each copy is mirrored in its place.
 */
export function mirroredSheet(sheet: CompiledSheet): CompiledSheet {
  const { stock, copies, drawing } = sheet;
  if (mirrorsWhole(stock)) return mirroredWhole(sheet);
  const turned = new Map(
    copies.map((copy) => [copy.placement.copy, compose(compose(copy.map, FLIP), invert(copy.map))]),
  );
  const mirror = (copy: SheetCopy): SheetCopy => {
    const map = turned.get(copy.placement.copy);
    return map ? mirroredCopy(copy, map, copy.box) : copy;
  };
  const flipped = copies.map(mirror);
  return {
    ...sheet,
    copies: flipped,
    drawing: {
      ...drawing,
      nodes: [
        ...flipped.map((copy) => copyNode(copy, sheet.zones)),
        ...drawing.nodes.slice(copies.length),
      ],
    },
    cuts: sheet.cuts.map((cut) => {
      const map = cut.copies.length === 1 ? turned.get(cut.copies[0] as CopyId) : undefined;
      return map ? { ...cut, rings: placeEdge(cut.rings, map) } : cut;
    }),
  };
}

function mirroredWhole(sheet: CompiledSheet): CompiledSheet {
  const { width } = sheet.stock;
  const map: Affine = [-1, 0, 0, 1, width, 0];
  const nodes: DrawingNode = {
    kind: 'group',
    transform: map,
    children: [...sheet.drawing.nodes],
  };
  const flip = (copy: SheetCopy): SheetCopy =>
    mirroredCopy(copy, map, mirroredBox(copy.box, width));
  return {
    ...sheet,
    copies: sheet.copies.map(flip),
    empty: sheet.empty.map(flip),
    drawing: { ...sheet.drawing, nodes: [nodes] },
    marks: sheet.marks.map((mark) => mirroredMark(mark, width)),
    crops: sheet.crops.map(({ x1, y1, x2, y2 }) => ({ x1: width - x1, y1, x2: width - x2, y2 })),
    zones: sheet.zones.map((zone) => mirroredBox(zone, width)),
    cuts: sheet.cuts.map((cut) => ({ ...cut, rings: placeEdge(cut.rings, map) })),
  };
}

/** Whether a sheet is mirrored as a whole; else each copy is in its place. */
export const mirrorsWhole = ({ spots }: Pick<Stock, 'spots'>): boolean => spots === null;

/** A box on a sheet of a width in a mirror. */
export const mirroredBox = (box: Box, width: number): Box => ({
  ...box,
  left: width - box.right,
  right: width - box.left,
});

function mirroredCopy(copy: SheetCopy, map: Affine, box: Box): SheetCopy {
  return {
    ...copy,
    map: compose(map, copy.map),
    trim: placeEdge(copy.trim, map),
    kissCuts: placeEdge(copy.kissCuts, map),
    creases: placeEdge(copy.creases, map),
    box,
  };
}

/** The bars of a corner that run to the right and down run to the left and down. */
function mirroredMark(mark: Mark, width: number): Mark {
  const turn = ({ 0: 90, 90: 0, 180: 270, 270: 180 } as const)[mark.turn ?? 0];
  return { ...mark, x: width - mark.x, ...(mark.style === 'corner' ? { turn } : {}) };
}
