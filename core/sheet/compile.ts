import { latestFor, onceForEach } from '../base/index.ts';
import { solid, type Drawing, type DrawingNode } from '../drawing/index.ts';
import {
  boxesMeet,
  corners,
  differenceOf,
  flatten,
  grown,
  invert,
  linesPath,
  mapRing,
  ringsPath,
  type Box,
  type Path,
  type Ring,
} from '../geometry/index.ts';
import type { Need } from '../piece/index.ts';
import { shapePath, type EdgeShape } from '../shape/index.ts';
import { markPath } from '../register/index.ts';
import { keepClear, printable, sheetMarks, type Mark, type Stock } from '../stock/index.ts';
import type { Arrangeable, SheetLayout } from './arrange.ts';
import { sheetCopies, type CopySource, type SheetCopy } from './sheet-copies.ts';
import { sheetSymbols } from './symbols.ts';
import { sheetCuts, type SheetCut } from './sheet-cuts.ts';
import { cropMarks, type CropMark } from './trim-plan.ts';

/** A sheet as a drawing and what is cut of it. Marks print; cut lines are no part of the drawing. */
export interface CompiledSheet {
  readonly stock: Stock;
  readonly drawing: Drawing;
  readonly copies: readonly SheetCopy[];
  /** Copies whose places stay empty. */
  readonly empty: readonly SheetCopy[];
  readonly marks: readonly Mark[];
  readonly crops: readonly CropMark[];
  readonly zones: readonly Box[];
  readonly cuts: readonly SheetCut[];
  readonly needs: readonly Need[];
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
  const all = sheetCopies(sheet, pieces);
  const copies = all.filter(({ out }) => !out);
  const { stock } = sheet;
  const zones = keepClear(stock, job.plan.marks);
  const marks = sheetMarks(stock, job.plan.marks);
  const crops = job.plan.cropMarks ? cropMarks(copies, { room: printable(stock), zones }) : [];
  const present = new Map(copies.map(({ symbol, piece }) => [symbol, piece]));
  let drawing: Drawing | undefined;
  return {
    // Made only when it is asked for: a desk needs just the copies.
    get drawing() {
      drawing ??= {
        width: stock.width,
        height: stock.height,
        symbols: sheetSymbols(present),
        nodes: [
          ...copies.map((copy) => copyNode(copy, zones)),
          ...marks.map(markNode),
          ...crops.map(cropNode),
        ],
      };
      return drawing;
    },
    stock,
    copies,
    empty: all.filter(({ out }) => out),
    marks,
    crops,
    zones,
    cuts: sheetCuts(copies, job.plan),
    needs: [...present.values()].flatMap(({ needs }) => needs),
  };
}

/** The region that a copy may print on, about the piece's centre; undefined when nothing is cut off. */
export const findPrintClip = latestFor((copy: SheetCopy, zones: readonly Box[]) => {
  const { piece } = copy;
  const shortened = copy.bleed < piece.piece.bleed - 1e-9;
  const path = shortened ? grownEdge(piece.piece.edge, copy.bleed) : piece.bleed;
  const near = zones.filter((zone) => boxesMeet(grown(copy.box, copy.bleed), zone));
  if (near.length === 0) return shortened ? path : undefined;
  const back = invert(copy.map);
  const holes = near.map((zone): Ring => mapRing(corners(zone), back));
  return ringsPath(differenceOf(flatten(path), holes));
});

/** The outline of an edge grown by a bleed, worked out once for the same edge. */
const grownEdge = onceForEach((edge: EdgeShape, bleed: number): Path => shapePath(edge, bleed));

/** How a copy is drawn on its sheet. */
export function copyNode(copy: SheetCopy, zones: readonly Box[]): DrawingNode {
  const { symbol, map: transform } = copy;
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

const CROP_WIDTH = 0.1; // mm

const cropNode = ({ x1, y1, x2, y2 }: CropMark): DrawingNode => ({
  kind: 'path',
  path: linesPath([
    [
      { x: x1, y: y1 },
      { x: x2, y: y2 },
    ],
  ]),
  stroke: { paint: solid('#000000'), width: CROP_WIDTH },
});
