/**
 * What went wrong, told to a person: a stable code, one sentence that says what was found, and one
 * that says what to do about it.
 */
export interface Problem {
  /** `domain/what`, for example `art/too-large`. */
  readonly code: string;
  readonly what: string;
  readonly remedy: string;
  /** The file, field or place the problem was found in. */
  readonly where?: string;
}

/** The answer of everything whose name starts with `parse` or `try`. */
export type Result<T> =
  { readonly ok: true; readonly value: T } | { readonly ok: false; readonly problem: Problem };

/** A result that holds a value. */
export function ok<T>(value: T): Result<T> {
  return { ok: true, value };
}

/** A result that holds a problem. */
export function err(code: string, what: string, remedy: string, where?: string): Result<never> {
  return { ok: false, problem: problem(code, what, remedy, where) };
}

/** Builds a problem; `where` is left out when it is not known. */
export function problem(code: string, what: string, remedy: string, where?: string): Problem {
  return where === undefined ? { code, what, remedy } : { code, what, remedy, where };
}

/** A problem on its way through code that cannot give a result; caught at the border. */
export class ProblemError extends Error {
  readonly problem: Problem;
  constructor(found: Problem) {
    super(`${found.what} ${found.remedy}`);
    this.name = 'ProblemError';
    this.problem = found;
  }
}

/** Whether a value is a problem, for functions that answer with a value or a problem. */
export function isProblem(value: unknown): value is Problem {
  return typeof value === 'object' && value !== null && 'code' in value && 'remedy' in value;
}

/** The value of a result; throws {@link ProblemError} when there is none. */
export function expectOk<T>(result: Result<T>): T {
  if (result.ok) return result.value;
  throw new ProblemError(result.problem);
}
