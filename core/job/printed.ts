import type { Box } from '../geometry/index.ts';
import type { PieceCompiler } from '../piece/index.ts';
import {
  compileSheet,
  mirroredBox,
  mirroredSheet,
  mirrorsWhole,
  type CompiledSheet,
  type Layout,
  type SheetLayout,
} from '../sheet/index.ts';
import type { PaperSide } from '../stock/index.ts';
import { compileBack, copySource, type CompiledJob } from './compile.ts';
import type { Job } from './schema.ts';

/** One side of a sheet as it is printed: a page of the print file. */
export interface PrintedSide {
  readonly sheet: CompiledSheet;
  /** Which sheet it is of, from 0. */
  readonly of: number;
  readonly side: PaperSide;
}

/** A job as it is printed: mirrored where its material is turned over to be applied. */
export function asPrinted(compiled: CompiledJob): CompiledJob {
  if (!compiled.job.material.mirrored) return compiled;
  return {
    ...compiled,
    sheets: compiled.sheets.map(mirroredSheet),
    backs: compiled.backs.map((back) => back && mirroredSheet(back)),
  };
}

/** One side of one sheet as it is printed, without the others; undefined where there is nothing on it. */
export function printedSheet(
  job: Job,
  layout: SheetLayout,
  { compiler, side }: { readonly compiler: PieceCompiler; readonly side: PaperSide },
): CompiledSheet | undefined {
  const sheet =
    side === 'back'
      ? compileBack(job, layout, compiler)
      : compileSheet(job, layout, copySource(job, compiler));
  return sheet && job.material.mirrored ? mirroredSheet(sheet) : sheet;
}

/** A page of the print file: which side of which sheet, from 0. */
export type PrintedPage = Pick<PrintedSide, 'of' | 'side'>;

/** The pages of the print file in their order: each sheet, then its other side where it has one. */
export function printedPages(
  job: Pick<Job, 'pieces'>,
  layout: Pick<Layout, 'sheets'>,
): PrintedPage[] {
  const twoSided = new Set(job.pieces.map(({ behind }) => behind));
  return layout.sheets.flatMap(({ placements }, of) =>
    pagesOfSheet(
      of,
      placements.some(({ piece }) => twoSided.has(piece)),
    ),
  );
}

const pagesOfSheet = (of: number, hasBack: boolean): PrintedPage[] =>
  hasBack
    ? [
        { of, side: 'front' },
        { of, side: 'back' },
      ]
    : [{ of, side: 'front' }];

/** The same with what is on them. */
export function printedSides({ sheets, backs }: CompiledJob): PrintedSide[] {
  return sheets.flatMap((front, of) =>
    pagesOfSheet(of, backs[of] !== undefined).flatMap(({ side }): PrintedSide[] => {
      const sheet = side === 'front' ? front : backs[of];
      return sheet ? [{ sheet, of, side }] : [];
    }),
  );
}

/** Which page of the print file a side of a sheet is, from 0. */
export const pageOf = (
  pages: readonly PrintedPage[],
  sheet: number,
  side: PaperSide = 'front',
): number => pages.findIndex((page) => page.of === sheet && page.side === side);

/** Where something on a sheet of the job is in print. */
export function printedBox({ material, stock }: Pick<Job, 'material' | 'stock'>, box: Box): Box {
  return material.mirrored && mirrorsWhole(stock) ? mirroredBox(box, stock.width) : box;
}
