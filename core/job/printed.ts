import type { PieceCompiler } from '../piece/index.ts';
import {
  compileSheet,
  mirroredSheet,
  type CompiledSheet,
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

/** The pages of the print file in their order: each sheet, then its other side where it has one. */
export function printedSides({ sheets, backs }: CompiledJob): PrintedSide[] {
  return sheets.flatMap((sheet, of): PrintedSide[] => {
    const back = backs[of];
    const front: PrintedSide = { sheet, of, side: 'front' };
    return back ? [front, { sheet: back, of, side: 'back' }] : [front];
  });
}
