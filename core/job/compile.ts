import type { CompiledPiece, PieceCompiler } from '../piece/index.ts';
import { arrange, compileSheet, type CompiledSheet, type Layout } from '../sheet/index.ts';
import type { Job } from './schema.ts';

/** A job as drawings: its pieces and what lies on its sheets. */
export interface CompiledJob {
  readonly job: Job;
  readonly pieces: ReadonlyMap<string, CompiledPiece>;
  readonly layout: Layout;
  readonly sheets: readonly CompiledSheet[];
}

/** Compiles every piece of a job, by id. */
export function compilePieces(job: Job, compiler: PieceCompiler): Map<string, CompiledPiece> {
  return new Map(job.pieces.map((piece) => [piece.id, compiler.compile(piece, job)]));
}

/** Compiles a whole job; the sheets only up to `most`, for a first look. */
export function compileJob(job: Job, compiler: PieceCompiler, most = Infinity): CompiledJob {
  const pieces = compilePieces(job, compiler);
  const layout = arrange(job);
  const sheets = layout.sheets.slice(0, most).map((sheet) => compileSheet(job, sheet, pieces));
  return { job, pieces, layout, sheets };
}
