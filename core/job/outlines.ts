import { createCompiler } from '../piece/index.ts';
import { arrange, sheetCopies, type SheetCopy } from '../sheet/index.ts';
import { copySource } from './compile.ts';
import type { Job } from './schema.ts';

/** Outlines need neither typefaces nor art. */
const outlines = createCompiler({ typeface: () => undefined, vector: () => undefined });

/** The copies of a sheet with their outlines. */
export function copiesOn(job: Job, sheet: number): SheetCopy[] {
  const layout = arrange(job).sheets[sheet];
  return layout ? sheetCopies(layout, copySource(job, outlines)) : [];
}
