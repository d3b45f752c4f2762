import type { CompiledSheet } from '../sheet/index.ts';
import type { CompiledJob } from './compile.ts';
import { printKeys } from './print-keys.ts';

/** Sheets in a row that are printed alike. */
export interface AlikeSheets {
  /** The number of the first of them, from 0. */
  readonly first: number;
  readonly count: number;
}

/**
 * The sheets of a job in their order, those in a row that are alike on both sides together: the same
 * labels with the same words at the same places.
 */
export function alikeSheets({ job, sheets, backs }: CompiledJob): AlikeSheets[] {
  const keys = printKeys(job);
  const lookOf = (sheet: CompiledSheet | undefined): string =>
    JSON.stringify(
      sheet?.copies.map(({ placement: { piece, copy, x, y, angle } }) => [
        ...[piece, keys[copy] ?? copy],
        ...[x, y, angle],
      ]) ?? null,
    );
  const groups: { first: number; count: number; look: string }[] = [];
  for (const [at, sheet] of sheets.entries()) {
    const look = `${lookOf(sheet)} ${lookOf(backs[at])}`;
    const last = groups[groups.length - 1];
    if (last?.look === look) last.count++;
    else groups.push({ first: at, count: 1, look });
  }
  return groups.map(({ first, count }) => ({ first, count }));
}
