import type { z } from 'zod';
import {
  problem,
  valueAt,
  valueIssue,
  type NoValues,
  type Problem,
  type ProblemValues,
  type RefusedChanges,
} from '../base/index.ts';
import { jobPlace } from './job-place.ts';

/** What a command was to change is not there. */
export const notFound = (what: ProblemValues['job/gone']['what']): Problem =>
  problem('job/gone', { what });

type Plain = {
  [C in keyof RefusedChanges]: NoValues extends RefusedChanges[C] ? C : never;
}[keyof RefusedChanges];

/** A change that a job cannot take, and why. */
export function refused(code: Plain): Problem;
export function refused<C extends keyof RefusedChanges>(
  code: C,
  values: RefusedChanges[C],
): Problem;
export function refused(code: keyof RefusedChanges, values: object = {}): Problem {
  return problem('job/refused', { code, values } as ProblemValues['job/refused']);
}

/** A value that its schema refuses, named by where it stands in it. */
export function invalidBySchema({ issues: [first] }: z.ZodError, value: unknown): Problem {
  const path = first?.path ?? [];
  const field = path.filter((key) => typeof key === 'string').join(' ');
  const issue = first ? valueIssue(first, valueAt(value, path)) : ({ rule: 'unfit' } as const);
  return problem('job/invalid-value', { field, issue });
}

/** A job that would not be one any more: what of it cannot be, and why. */
export const invalidJob = (job: unknown, issue: z.core.$ZodIssue): Problem =>
  problem('job/invalid', {
    place: jobPlace(job, issue.path),
    issue: valueIssue(issue, valueAt(job, issue.path)),
  });
