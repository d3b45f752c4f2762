import type { ProblemValues } from './problem-values.ts';

/** The stable name of what can go wrong, `domain/what`, for example `art/too-large`. */
export type ProblemCode = keyof ProblemValues;

/** What went wrong: a code, and what a sentence about it names. The sentences stand in `messages/`. */
export type Problem = {
  [C in ProblemCode]: {
    readonly code: C;
    readonly values: Readonly<ProblemValues[C]>;
    /** The file, field or place the problem was found in. */
    readonly where?: string;
  };
}[ProblemCode];

/** The answer of everything whose name starts with `parse` or `try`. */
export type Result<T> =
  { readonly ok: true; readonly value: T } | { readonly ok: false; readonly problem: Problem };

/** A result that holds a value. */
export function ok<T>(value: T): Result<T> {
  return { ok: true, value };
}

/** A result that holds a problem. */
export function err<C extends ProblemCode>(
  code: C,
  values: ProblemValues[C],
  where?: string,
): Result<never> {
  return { ok: false, problem: problem(code, values, where) };
}

/** Builds a problem; `where` is left out when it is not known. */
export function problem<C extends ProblemCode>(
  code: C,
  values: ProblemValues[C],
  where?: string,
): Problem {
  return { code, values, ...(where === undefined ? {} : { where }) } as Problem;
}

/** A problem on its way through code that cannot give a result; caught at the border. */
export class ProblemError extends Error {
  readonly problem: Problem;
  constructor(found: Problem) {
    super(`${found.code} ${JSON.stringify(found.values)}`);
    this.name = 'ProblemError';
    this.problem = found;
  }
}

/** Whether a value is a problem, for functions that answer with a value or a problem. */
export function isProblem(value: unknown): value is Problem {
  return typeof value === 'object' && value !== null && 'code' in value && 'values' in value;
}

/** The value of a result; throws {@link ProblemError} when there is none. */
export function expectOk<T>(result: Result<T>): T {
  if (result.ok) return result.value;
  throw new ProblemError(result.problem);
}
