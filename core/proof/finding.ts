import type { Box } from '../geometry/index.ts';
import type { CommandCall, CompiledJob } from '../job/index.ts';
import type { Cutter } from '../stock/index.ts';
import type { FindingCode, FindingName, FixName } from './finding-values.ts';

/** Blockers stop a run; warnings spoil labels; notes are good to know. */
export type Severity = 'blocker' | 'warning' | 'note';

/** Where a finding is, for showing it. */
export interface Where {
  readonly piece?: string;
  readonly element?: string;
  /** From 0. */
  readonly sheet?: number;
  readonly copy?: string;
  /** mm on the sheet, or about the piece's centre where there is no sheet. */
  readonly box?: Box;
}

/** A safe change that removes a finding. */
export type Fix = FixName & { readonly call: CommandCall };

/** Something that the proof found. Its code and values are stable, for accepting it. */
export type Finding = FindingName & {
  readonly severity: Severity;
  readonly where: Where;
  readonly fix?: Fix;
  /** The note with which it was taken as it is. */
  readonly accepted?: string;
};

/** What a finding is known by while what it is about is there. */
export function findingKey({ code, where }: Pick<Finding, 'code' | 'where'>): string {
  const { piece = '', element = '', sheet = '', copy = '' } = where;
  return [code, piece, element, sheet, copy].join('|');
}

/** What kinds of finding look at. */
export interface ProofContext {
  readonly compiled: CompiledJob;
  /** Measured contrast of words, by {@link elementKey}. */
  readonly contrasts: ReadonlyMap<string, MeasuredContrast>;
  /** The cutter that the sheets go into, where it is known. */
  readonly machine?: Cutter | undefined;
  /** Pictures whose files cannot be decoded, by their hashes. */
  readonly damaged?: ReadonlySet<string>;
  /** Typefaces that have the letters that others lack, by {@link elementKey}. */
  readonly standIns?: ReadonlyMap<string, StandIn>;
}

/** A typeface that can stand in for another. */
export interface StandIn {
  readonly id: string;
  readonly family: string;
}

/** The contrast of words against what lies beneath them at printed size. */
export interface MeasuredContrast {
  /** The ratio that 95 % of the pixels beneath reach. */
  readonly ratio: number;
  /** The ratio that words of this size need. */
  readonly wanted: number;
  /** The luminance of most of what lies beneath, 0 to 1. */
  readonly beneath: number;
}

/** The key of an element in a job. */
export function elementKey(piece: string, element: string): string {
  return `${piece}/${element}`;
}

/** One kind of finding. */
export interface FindingKind {
  readonly code: FindingCode;
  check(context: ProofContext): Finding[];
}
