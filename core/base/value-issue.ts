import type * as z from 'zod';

/** The rules of our own that schemas hold beside kinds and limits. */
const VALUE_RULES = [
  'id-letters',
  'calendar-day',
  'twice-the-same',
  'reserved-name',
  'hole-in-disc',
  'band-in-radius',
  'crossing-outline',
  'crossing-line',
  'outline-points',
] as const;
export type ValueRule = (typeof VALUE_RULES)[number];

/** What a schema has against a value. */
export type ValueIssue =
  | { readonly rule: 'too-small' | 'too-large'; readonly value: number; readonly limit: number }
  | { readonly rule: 'too-few' | 'too-many' | 'too-long'; readonly limit: number }
  | { readonly rule: 'empty' | 'unfit' | ValueRule };

const isRule = (text: string): text is ValueRule =>
  (VALUE_RULES as readonly string[]).includes(text);

/** What a schema has against a value, without the schema library's own words. */
export function valueIssue(issue: z.core.$ZodIssue, value: unknown): ValueIssue {
  const shown = typeof value === 'number' ? Math.round(value * 1000) / 1000 : Number.NaN;
  switch (issue.code) {
    case 'too_small': {
      const limit = Number(issue.minimum);
      if (issue.origin === 'number') return { rule: 'too-small', value: shown, limit };
      return issue.origin === 'string' ? { rule: 'empty' } : { rule: 'too-few', limit };
    }
    case 'too_big': {
      const limit = Number(issue.maximum);
      if (issue.origin === 'number') return { rule: 'too-large', value: shown, limit };
      return { rule: issue.origin === 'string' ? 'too-long' : 'too-many', limit };
    }
    default:
      return { rule: isRule(issue.message) ? issue.message : 'unfit' };
  }
}
