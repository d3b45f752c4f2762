import type * as z from 'zod';

/** A way into a value: the keys and indices from its top. */
export type ValuePath = readonly PropertyKey[];

/** What stands at a path; undefined where nothing does. */
export function valueAt(value: unknown, path: ValuePath): unknown {
  let now = value;
  for (const key of path) {
    if (typeof now !== 'object' || now === null || !Object.hasOwn(now, key)) return undefined;
    now = (now as Record<PropertyKey, unknown>)[key];
  }
  return now;
}

/** A value with what stands at a path changed; all else is shared. A change to undefined takes it out. */
export function changedAt(
  value: unknown,
  [key, ...rest]: ValuePath,
  change: (old: unknown) => unknown,
): unknown {
  if (key === undefined) return change(value);
  if (typeof value !== 'object' || value === null) return value;
  const next = changedAt((value as Record<PropertyKey, unknown>)[key], rest, change);
  if (Array.isArray(value)) {
    const at = Number(key);
    return next === undefined ? value.toSpliced(at, 1) : value.with(at, next);
  }
  const { [key as string]: before, ...others } = value as Record<string, unknown>;
  if (next === undefined) return others;
  return before === next ? value : { ...value, [key]: next };
}

/** A hair inside a limit that may not be met itself. */
const INSIDE = 0.01;

/** A number at the limit that an issue says it passed; undefined where the issue is another one. */
export function findLimit(issue: z.core.$ZodIssue): number | undefined {
  if (issue.code === 'too_small' && issue.origin === 'number')
    return Number(issue.minimum) + (issue.inclusive ? 0 : INSIDE);
  if (issue.code === 'too_big' && issue.origin === 'number')
    return Number(issue.maximum) - (issue.inclusive ? 0 : INSIDE);
  return undefined;
}

/** A value whose numbers stand at the limits of its schema where they were beyond them. */
export function withinLimits<T extends object>(schema: z.ZodType, value: T): T {
  const read = schema.safeParse(value);
  if (read.success) return value;
  return read.error.issues.reduce<T>((now, issue) => {
    const limit = findLimit(issue);
    return limit === undefined ? now : (changedAt(now, issue.path, () => limit) as T);
  }, value);
}
