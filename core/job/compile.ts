import type { CompiledPiece, PieceCompiler } from '../piece/index.ts';
import {
  arrange,
  compileSheet,
  type CompiledSheet,
  type CopySource,
  type Layout,
} from '../sheet/index.ts';
import type { Job } from './schema.ts';

/** A job as drawings: its pieces and what lies on its sheets. */
export interface CompiledJob {
  readonly job: Job;
  readonly pieces: ReadonlyMap<string, CompiledPiece>;
  readonly layout: Layout;
  readonly sheets: readonly CompiledSheet[];
}

/** Compiles every piece of a job, by id: each as its first copy is, or that of another number. */
export function compilePieces(
  job: Job,
  compiler: PieceCompiler,
  number = 1,
): Map<string, CompiledPiece> {
  return new Map(job.pieces.map((piece) => [piece.id, compiler.compile(piece, job, number)]));
}

/** The compiled piece of each copy: pieces that count up are compiled for each number. */
export function copySource(
  job: Job,
  compiler: PieceCompiler,
  pieces: ReadonlyMap<string, CompiledPiece>,
): CopySource {
  return {
    get(id, number) {
      const found = pieces.get(id);
      return found?.numbered ? compiler.compile(found.piece, job, number) : found;
    },
  };
}

/** Compiles a whole job; the sheets only up to `most`, for a first look. */
export function compileJob(job: Job, compiler: PieceCompiler, most = Infinity): CompiledJob {
  const pieces = compilePieces(job, compiler);
  const layout = arrange(job);
  const source = copySource(job, compiler, pieces);
  const sheets = layout.sheets.slice(0, most).map((sheet) => compileSheet(job, sheet, source));
  return { job, pieces, layout, sheets };
}
