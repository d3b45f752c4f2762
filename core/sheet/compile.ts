import { solid, type Drawing, type DrawingNode } from '../drawing/index.ts';
import {
  boxesMeet,
  boxOf,
  corners,
  differenceOf,
  distanceBetween,
  flatten,
  grown,
  invert,
  mapRing,
  placed,
  ringsPath,
  type Box,
  type Path,
  type Ring,
} from '../geometry/index.ts';
import { type CompiledPiece, type Need } from '../piece/index.ts';
import {
  placeEdge,
  shapePath,
  type CutLine,
  type EdgeRings,
  type EdgeShape,
} from '../shape/index.ts';
import { markPath } from '../register/index.ts';
import { keepClear, sheetMarks, type Mark } from '../stock/index.ts';
import { copyNumber } from './plan.ts';
import type { Arrangeable, Placement, SheetLayout } from './arrange.ts';

/** A copy with its lines on the sheet. */
export interface SheetCopy {
  readonly placement: Placement;
  readonly piece: CompiledPiece;
  /** The name of its drawing: that of its piece, or one of its own where copies are numbered. */
  readonly symbol: string;
  /** The finished outline on the sheet. */
  readonly trim: EdgeRings;
  /** Its folds on the sheet. */
  readonly creases: EdgeRings;
  readonly box: Box;
  /** How far its bleed reaches, mm: half way to its nearest neighbour at most. */
  readonly bleed: number;
}

/** A sheet as a drawing and what is cut of it. Marks print; cut lines are no part of the drawing. */
export interface CompiledSheet {
  readonly drawing: Drawing;
  readonly copies: readonly SheetCopy[];
  readonly marks: readonly Mark[];
  readonly zones: readonly Box[];
  readonly cuts: readonly (CutLine & { readonly copy: string })[];
  readonly needs: readonly Need[];
}

/** Where the compiled piece of a copy is found; a map by piece has the same for all copies. */
export interface CopySource {
  get(piece: string, number: number): CompiledPiece | undefined;
}

/** The name of a piece's symbol in the drawing of a sheet. */
export function pieceSymbol(piece: string): string {
  return `piece-${piece}`;
}

/** Where each copy lies and how far its bleed may reach, without drawing anything. */
export function sheetCopies({ placements }: SheetLayout, pieces: CopySource): SheetCopy[] {
  const bare = placements.flatMap((placement): SheetCopy[] => {
    const number = copyNumber(placement.copy);
    const piece = pieces.get(placement.piece, number);
    if (!piece) return [];
    const map = placed(placement.x, placement.y, placement.angle);
    const trim = placeEdge(piece.rings, map);
    const creases = placeEdge(piece.creases, map);
    const box = boxOf(trim.flat()) ?? { left: 0, top: 0, right: 0, bottom: 0 };
    const own = piece.numbered ? `-${number}` : '';
    const symbol = pieceSymbol(piece.piece.id) + own;
    return [{ placement, piece, symbol, trim, creases, box, bleed: piece.piece.bleed }];
  });
  const bleeds = bare.map(({ bleed }) => bleed);
  for (const [at, copy] of bare.entries())
    for (const [to, other] of bare.entries()) {
      if (to <= at) continue;
      const gap = findGap(copy, other, copy.bleed + other.bleed);
      if (gap === undefined) continue;
      const half = Math.max(0, Math.floor(gap / 2 / BLEED_STEP + 1e-6) * BLEED_STEP);
      bleeds[at] = Math.min(bleeds[at] ?? half, half);
      bleeds[to] = Math.min(bleeds[to] ?? half, half);
    }
  return bare.map((copy, at) => ({ ...copy, bleed: bleeds[at] ?? copy.bleed }));
}

/**
 * A bleed that is cut short ends at steps, mm: copies that lie in all kinds of ways share few outlines,
 * and few drawings.
 */
const BLEED_STEP = 0.1;

/** The distance from a copy's edge to that of another, or undefined when it is more than `within`. */
export function findGap(one: SheetCopy, other: SheetCopy, within: number): number | undefined {
  if (!boxesMeet(grown(one.box, within), other.box, 0)) return undefined;
  const [a, b] = [one.piece.piece.edge, other.piece.piece.edge];
  const gap =
    a.kind === 'circle' && b.kind === 'circle'
      ? Math.hypot(one.placement.x - other.placement.x, one.placement.y - other.placement.y) -
        (a.diameter + b.diameter) / 2
      : distanceBetween(one.trim, other.trim, within);
  return gap < within ? gap : undefined;
}

/**
 * Compiles one sheet. Each piece is drawn once as a symbol and used by its copies; where a bleed may
 * not reach out in full, the use is clipped. Bleed may reach into the printer's margin, never into a
 * keep-clear zone.
 */
export function compileSheet(
  job: Arrangeable,
  sheet: SheetLayout,
  pieces: CopySource,
): CompiledSheet {
  const copies = sheetCopies(sheet, pieces);
  const zones = keepClear(job.stock, job.plan.marks);
  const marks = sheetMarks(job.stock, job.plan.marks);
  const present = new Map(copies.map(({ symbol, piece }) => [symbol, piece]));
  const symbols = Object.fromEntries([...present].map(([symbol, piece]) => [symbol, piece.nodes]));
  return {
    drawing: {
      width: job.stock.width,
      height: job.stock.height,
      symbols,
      nodes: [...copies.map((copy) => copyNode(copy, zones)), ...marks.map(markNode)],
    },
    copies,
    marks,
    zones,
    cuts: copies.flatMap(({ placement, piece, trim, creases }) => [
      { kind: job.plan.cut, rings: trim, copy: placement.copy },
      ...(piece.creases.length
        ? [{ kind: 'crease' as const, rings: creases, copy: placement.copy }]
        : []),
    ]),
    needs: [...present.values()].flatMap(({ needs }) => needs),
  };
}

/** The region that a copy may print on, about the piece's centre; undefined when nothing is cut off. */
export function findPrintClip(copy: SheetCopy, zones: readonly Box[]): Path | undefined {
  const { piece, placement } = copy;
  const shortened = copy.bleed < piece.piece.bleed - 1e-9;
  const path = shortened ? grownEdge(piece.piece.edge, copy.bleed) : piece.bleed;
  const near = zones.filter((zone) => boxesMeet(grown(copy.box, copy.bleed), zone));
  if (near.length === 0) return shortened ? path : undefined;
  const back = invert(placed(placement.x, placement.y, placement.angle));
  const holes = near.map((zone): Ring => mapRing(corners(zone), back));
  return ringsPath(differenceOf(flatten(path), holes));
}

const grownEdges = new WeakMap<EdgeShape, Map<number, Path>>();

/** The outline of an edge grown by a bleed, worked out once for the same edge. */
function grownEdge(edge: EdgeShape, bleed: number): Path {
  const known = grownEdges.get(edge) ?? new Map<number, Path>();
  grownEdges.set(edge, known);
  const path = known.get(bleed) ?? shapePath(edge, bleed);
  known.set(bleed, path);
  return path;
}

function copyNode(copy: SheetCopy, zones: readonly Box[]): DrawingNode {
  const { x, y, angle } = copy.placement;
  const transform = placed(x, y, angle);
  const { symbol } = copy;
  const clip = findPrintClip(copy, zones);
  if (!clip) return { kind: 'use', symbol, transform };
  const use: DrawingNode = { kind: 'use', symbol, transform: [1, 0, 0, 1, 0, 0] };
  return { kind: 'group', transform, clip, children: [use] };
}

const markNode = (mark: Mark): DrawingNode => ({
  kind: 'path',
  path: markPath(mark),
  fill: solid('#000000'),
});
