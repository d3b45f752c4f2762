import type { ArtNote, ArtOmission } from '../core/art/index.ts';
import type {
  Coded,
  Doing,
  FileWords,
  JobPlace,
  PrinterReason,
  Problem,
  Say,
} from '../core/base/index.ts';
import type { FixName } from '../core/proof/index.ts';
import type { PrintNote } from '../core/run/index.ts';
import type { SizeWarning, ZoneName } from '../core/things/index.ts';
import { ART_NOTES } from './en/art-notes.ts';
import { ART_OMISSIONS } from './en/art-omissions.ts';
import { DOINGS } from './en/doings.ts';
import { FILE_WORDS } from './en/file-words.ts';
import { FIXES } from './en/fixes.ts';
import { placeText } from './en/job-places.ts';
import { PRINT_NOTES } from './en/print-notes.ts';
import { REASONS } from './en/printer-reasons.ts';
import { isProblemCode, problemText } from './en/problems/index.ts';
import { SIZE_WARNINGS } from './en/size-warnings.ts';
import { ZONES } from './en/zones.ts';
import { wordsFor } from './words.ts';

export type { FindingSentences, Sentences } from './sentences.ts';
export { commandText, onOneCopyText } from './en/commands.ts';
export { serverText } from './en/server.ts';
export { titleText } from './en/element-titles.ts';
export { findingText, manyText } from './en/findings.ts';
export { placeText } from './en/job-places.ts';
export { problemText };

/** Whether something from elsewhere is a problem that there are words for. */
export const hasWords = (told: { readonly code: string }): told is Problem =>
  isProblemCode(told.code);

/** Whether something from elsewhere is what a heavy call can be at. */
export const isDoing = (told: { readonly code: string }): told is Doing =>
  Object.hasOwn(DOINGS, told.code);

/** Whether something from elsewhere is a state of a printer that there are words for. */
export const isReason = (told: { readonly code: string }): told is PrinterReason =>
  Object.hasOwn(REASONS, told.code);

/** What keeps a printer, or is worth knowing of it. */
export const reasonText = (reason: PrinterReason): string => wordsFor(REASONS, reason);

/** Both sentences of a problem, one after the other. */
export function problemLine(problem: Problem): string {
  const { what, remedy } = problemText(problem);
  return remedy ? `${what} ${remedy}` : what;
}

/** What a part of a label is called on its thing. */
export const zoneText = (name: ZoneName): string => ZONES[name];

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

/** Words that are printed or written into files. */
export const say: Say = (code, values) =>
  wordsFor(FILE_WORDS, { code, values } as Coded<FileWords>);

/** What of a file cannot be drawn, in one line. */
export const omissionsText = (omissions: readonly ArtOmission[]): string =>
  omissions.map((one) => wordsFor(ART_OMISSIONS, one)).join(', ');

/** What of a file is drawn by other means than its own, a phrase each. */
export const artNoteTexts = (notes: readonly ArtNote[] = []): string[] =>
  notes.map((one) => wordsFor(ART_NOTES, one));

/** What may go wrong with a label of a size. */
export const sizeWarningText = (warning: SizeWarning): string => wordsFor(SIZE_WARNINGS, warning);

/** What is worth telling of a print though it went well. */
export const printNoteText = (note: PrintNote): string => PRINT_NOTES[note];
export { FIELD_LANGUAGES, type FieldLanguageCode } from './field-names.ts';
