import * as z from 'zod';
import type { ValueRule } from './value-issue.ts';

/** An id that can stand in the name of a file: letters of the alphabet, digits, `-` and `_`. */
export const plainId = z
  .string()
  .max(100)
  .regex(/^[A-Za-z0-9][A-Za-z0-9_-]*$/, 'id-letters' satisfies ValueRule);

/** A day of the calendar, YYYY-MM-DD. */
export const calendarDate = z.string().refine(isDay, 'calendar-day' satisfies ValueRule);

/** The last year that dates can be counted on from. */
const LAST_YEAR = 9000;

function isDay(text: string): boolean {
  const [, year, month, day] = /^(\d{4})-(\d{2})-(\d{2})$/.exec(text) ?? [];
  if (day === undefined || Number(year) < 1 || Number(year) > LAST_YEAR) return false;
  const date = new Date(0);
  date.setUTCFullYear(Number(year), Number(month) - 1, Number(day));
  return date.toISOString().startsWith(text);
}

/** A rule for lists: no two of its items say the same in a field. */
export const apart =
  (field: string): z.core.CheckFn<readonly unknown[]> =>
  ({ value, issues }) => {
    const seen = new Set<unknown>();
    for (const [at, one] of value.entries()) {
      const said = (one as Record<string, unknown> | null)?.[field];
      if (seen.has(said)) {
        issues.push({
          code: 'custom',
          input: said,
          path: [at, field],
          message: 'twice-the-same' satisfies ValueRule,
        });
      }
      seen.add(said);
    }
  };
