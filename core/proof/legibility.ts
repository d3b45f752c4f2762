import { unwatched } from '../base/index.ts';
import { compileJob, tryCommand, type CompiledJob } from '../job/index.ts';
import { createCompiler } from '../piece/index.ts';
import { measureContrasts, type ContrastOptions } from './contrast.ts';
import { elementKey } from './finding.ts';
import { legibilityFixes, type LegibilityFix } from './legibility-fixes.ts';
import { allWords, nearestToEdge } from './words-in-piece.ts';

/** How well words can be read where they stand. */
export interface Legibility {
  /** Contrast against what lies beneath, by its worst 5 %; and what words of this size need. */
  readonly ratio: number;
  readonly wanted: number;
  /** pt */
  readonly size: number;
  /** From the outermost ink to the edge, mm; negative beyond it. */
  readonly toEdge: number;
  /** When it is poor: up to three ways, each with the contrast that it gives. */
  readonly ways: readonly (LegibilityFix & { readonly ratio: number })[];
}

const MOST_WAYS = 3;

/** Measures words of a piece; undefined when they are not there or show no ink. */
export async function findLegibility(
  compiled: CompiledJob,
  { piece, element }: { piece: string; element: string },
  options: ContrastOptions,
): Promise<Legibility | undefined> {
  const { task = unwatched } = options;
  const found = allWords({ compiled }).find(
    (one) => one.piece.piece.id === piece && one.element.id === element,
  );
  if (!found?.set.ink) return undefined;
  const key = elementKey(piece, element);
  const measured = (await measureContrasts(compiled, { ...options, only: key })).get(key);
  if (!measured) return undefined;
  const toEdge = nearestToEdge(found, found.element);
  const ways: (LegibilityFix & { ratio: number })[] = [];
  if (measured.ratio < measured.wanted - 0.05) {
    const { resources } = options;
    for (const way of legibilityFixes(found, measured.beneath).slice(0, MOST_WAYS)) {
      await task.yieldNow();
      const job = tryCommand(compiled.job, way.call);
      if (!job) continue;
      const after = compileJob(job, createCompiler(resources), 0);
      const ratio = (await measureContrasts(after, { ...options, only: key })).get(key)?.ratio;
      if (ratio !== undefined) ways.push({ ...way, ratio });
    }
  }
  return { ratio: measured.ratio, wanted: measured.wanted, size: found.set.size, toEdge, ways };
}
