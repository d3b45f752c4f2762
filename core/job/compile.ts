import type { CompiledPiece, ListRow, Piece, PieceCompiler } from '../piece/index.ts';
import {
  arrange,
  backLayout,
  compileSheet,
  copyParts,
  rowInTurn,
  type CompiledSheet,
  type CopyId,
  type CopyVariant,
  type CopySource,
  type Layout,
  type SheetLayout,
} from '../sheet/index.ts';
import { backOf } from './backs.ts';
import { asRow, copyOf } from './copies.ts';
import type { Job } from './schema.ts';

/** A job as drawings: its pieces and what lies on its sheets. */
export interface CompiledJob {
  readonly job: Job;
  readonly pieces: ReadonlyMap<string, CompiledPiece>;
  readonly layout: Layout;
  readonly sheets: readonly CompiledSheet[];
  /** The other side of each sheet, where there is one; nothing of it is cut. */
  readonly backs: readonly (CompiledSheet | undefined)[];
}

/** Compiles every piece of a job, by id: each as a copy that a row fills. */
export function compilePieces(
  job: Job,
  compiler: PieceCompiler,
  row: ListRow | undefined = rowInTurn(job.list, 1),
): Map<string, CompiledPiece> {
  return new Map(
    job.pieces.map((piece) => [piece.id, compileAsRow(job, compiler, { piece, row })]),
  );
}

/** A piece as a row of the list fills it. */
export function compileAsRow(
  job: Job,
  compiler: PieceCompiler,
  { piece, row }: { piece: Piece; row: ListRow | undefined },
): CompiledPiece {
  const number = Math.max(1, (job.list?.rows.findIndex(({ key }) => key === row?.key) ?? 0) + 1);
  return compiler.compile(asRow(job, piece, row), job, { number, row });
}

/** Where the copies of a job are found as they are compiled. */
export function copySource(job: Job, compiler: PieceCompiler): CopySource {
  return {
    find(copy) {
      const found = copyOf(job, copy);
      if (!found) return undefined;
      const compiled = compiler.compile(found.piece, job, found);
      return copyVariant(job, copy, { compiled, own: found.look });
    },
  };
}

/** How a copy looks; `own` tells it from others beside what its piece says. */
function copyVariant(
  job: Job,
  copy: CopyId,
  { compiled, own }: { readonly compiled: CompiledPiece; readonly own: string },
): CopyVariant {
  const look = [own, compiled.look].filter(Boolean).join('-');
  return { compiled, look, ...(job.oneOffs?.[copy]?.out ? { out: true } : {}) };
}

/** Compiles a whole job; the sheets only up to `most`, for a first look. */
export function compileJob(job: Job, compiler: PieceCompiler, most = Infinity): CompiledJob {
  const pieces = compilePieces(job, compiler);
  const layout = arrange(job);
  const source = copySource(job, compiler);
  const first = layout.sheets.slice(0, most);
  const sheets = first.map((sheet) => compileSheet(job, sheet, source));
  const backs = first.map((sheet) => compileBack(job, sheet, compiler));
  return { job, pieces, layout, sheets, backs };
}

/** The other side of a sheet; undefined where none of its copies has one. Marks are on the front alone. */
export function compileBack(
  job: Job,
  sheet: SheetLayout,
  compiler: PieceCompiler,
): CompiledSheet | undefined {
  const behind = backLayout(sheet, job.plan.turnOver, (piece) => backOf(job, piece)?.id);
  if (!behind) return undefined;
  const plan = { ...job.plan, cropMarks: false, marks: { ...job.plan.marks, on: false } };
  const made = compileSheet({ ...job, plan }, behind, backSource(job, compiler));
  return { ...made, cuts: [] };
}

/** Where the other sides of copies are found, filled as their fronts are. */
function backSource(job: Job, compiler: PieceCompiler): CopySource {
  return {
    find(copy) {
      const found = copyOf(job, copy);
      const piece = backOf(job, copyParts(copy).piece);
      if (!found || !piece) return undefined;
      const { number, row } = found;
      const filled = asRow(job, piece, row);
      const compiled = compiler.compile(filled, job, { number, row });
      return copyVariant(job, copy, { compiled, own: filled === piece ? '' : (row?.key ?? '') });
    },
  };
}
