import { type Doing, type JobPlace, type PrinterReason, type Problem } from '../core/base/index.ts';
import type { FixName } from '../core/proof/index.ts';
import type { PrintNote } from '../core/run/index.ts';
import { DOINGS } from './en/doings.ts';
import { FIXES } from './en/fixes.ts';
import { problemText } from './en/problems/index.ts';
import { REASONS } from './en/printer-reasons.ts';
import { placeText } from './en/job-places.ts';
import { PRINT_NOTES } from './en/print-notes.ts';

import { wordsFor } from './words.ts';

export type { FindingSentences, Sentences } from './sentences.ts';
export { commandText, onOneCopyText } from './en/commands.ts';
export { findingText } from './en/findings.ts';
export { placeText } from './en/job-places.ts';
export { problemText };

/** Both sentences of a problem, one after the other. */
export function problemLine(problem: Problem): string {
  const { what, remedy } = problemText(problem);
  return remedy ? `${what} ${remedy}` : what;
}

/** What a heavy call is at. */
export const doingText = (doing: Doing): string => wordsFor(DOINGS, doing);

/** A safe change, as it stands on its button. */
export const fixText = (fix: FixName): string => wordsFor(FIXES, fix);

/** Parts of a job that could not be read, each name once with how often it came. */
export function leftOutTexts(parts: readonly JobPlace[]): string[] {
  const counts = new Map<string, number>();
  for (const name of parts.map(placeText)) counts.set(name, (counts.get(name) ?? 0) + 1);
  return [...counts].map(([name, count]) => (count > 1 ? `${name} (${count})` : name));
}

/** What is worth telling of a print though it went well. */
export const printNoteText = (note: PrintNote): string => PRINT_NOTES[note];

/** What keeps a printer. */
export const reasonText = (reason: PrinterReason): string => wordsFor(REASONS, reason);
