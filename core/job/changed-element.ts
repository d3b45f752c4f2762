import type { Problem } from '../base/index.ts';
import { elementSchema, type PieceElement } from '../piece/index.ts';
import { invalidBySchema } from './command-problems.ts';

/** The changes of one element; its id and kind stay. */
export type ElementChanges = Partial<Record<string, unknown>>;

/** An element with changes, or why it cannot have them; what is changed to undefined is left out. */
export function changedElement(
  element: PieceElement,
  changes: ElementChanges,
): PieceElement | Problem {
  const { id, kind } = element;
  const whole = { ...element, ...changes, id, kind };
  const given = Object.entries(whole).filter(([, value]) => value !== undefined);
  const made = Object.fromEntries(given);
  const read = elementSchema.safeParse(made);
  return read.success ? read.data : invalidBySchema(read.error, made);
}
