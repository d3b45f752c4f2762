import type { z } from 'zod';
import { problem, valueAt, type Problem } from '../base/index.ts';
import { issueInWords, placeInWords } from './place-in-words.ts';

/** What a command was to change is not there. */
export const notFound = (what: string): Problem =>
  problem('job/gone', `The ${what} is no longer in this job.`, 'Choose another one.');

/** A change that a job cannot take, and why. */
export const invalidValue = (what: string, why: string | undefined): Problem =>
  problem(
    'job/refused',
    `${what} cannot be: ${why ?? 'not allowed'}.`,
    'Give a value within its limits.',
  );

/** A value that its schema refuses, named by where it stands in it. */
export function invalidBySchema({ issues: [first] }: z.ZodError, value?: unknown): Problem {
  if (!first) return invalidValue('The value', undefined);
  const named = first.path.filter((key) => typeof key === 'string').join(' ');
  return invalidValue(`“${named || 'the value'}”`, issueInWords(first, valueAt(value, first.path)));
}

/** A job that would not be one any more: what of it cannot be, and why. */
export const invalidJob = (job: unknown, issue: z.core.$ZodIssue): Problem =>
  problem(
    'job/refused',
    `This cannot be done: ${placeInWords(job, issue.path)}: ${issueInWords(issue, valueAt(job, issue.path))}.`,
    'Choose a value within its limits.',
  );
