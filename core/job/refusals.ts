import type { z } from 'zod';
import { problem, type Problem } from '../base/index.ts';

/** What a command was to change is not there. */
export const gone = (what: string): Problem =>
  problem('job/gone', `The ${what} is no longer in this job.`, 'Choose another one.');

/** A change that a job cannot take, and why. */
export const refused = (what: string, why: string | undefined): Problem =>
  problem(
    'job/refused',
    `${what} cannot be: ${why ?? 'not allowed'}.`,
    'Give a value within its limits.',
  );

/** A value that its schema refuses, named by where it stands. */
export function refusedBy({ issues: [first] }: z.ZodError): Problem {
  return refused(`“${first?.path.join(' ') ?? 'the value'}”`, first?.message.toLowerCase());
}
