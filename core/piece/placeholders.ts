import { addDays } from 'date-fns/addDays';
import { addMonths } from 'date-fns/addMonths';
import { addWeeks } from 'date-fns/addWeeks';
import { addYears } from 'date-fns/addYears';
import { format } from 'date-fns/format';
import { parse } from 'date-fns/parse';

/** What fills the placeholders of one copy. */
export interface CopyFacts {
  /** The job's calendar date, YYYY-MM-DD. */
  readonly today: string;
  /** Which copy of its piece it is, from 1; what counts up stays as it is typed where none is given. */
  readonly number: number | undefined;
  /** The fields of its row in a list, by their names. */
  readonly row?: Readonly<Record<string, string>>;
}

const COUNTER = /\{#(\d+)(?:\+(\d+))?\}/g;
const DATE = /\{today(?:([+-])(\d{1,5})([dwmy]))?(?::([^{}]{1,40}))?\}/g;
const FIELD = /\{([\p{L}_][\p{L}\p{M}\p{N} _-]{0,39})\}/gu;
const USUAL_DATE = 'd MMM yyyy';
const ADD = { d: addDays, w: addWeeks, m: addMonths, y: addYears } as const;

/** Whether a text holds anything that is filled in for each copy or day. */
export const hasPlaceholders = (text: string): boolean =>
  text.includes('{') && [COUNTER, DATE, FIELD].some((one) => text.search(one) >= 0);

/** Whether a text counts up, so that every copy of its piece is another. */
export const countsUp = (text: string): boolean => text.includes('{#') && text.search(COUNTER) >= 0;

/** The names of the fields that a text asks for. */
export const fieldsOf = (text: string): string[] =>
  text.includes('{')
    ? [...text.replace(DATE, '').matchAll(FIELD)].map(([, name]) => name ?? '')
    : [];

/**
 * A text with its placeholders filled: `{#1}` and `{#001}` count up from that number with its zeros,
 * `{#10+5}` in steps, `{today}`, `{today+90d}` and `{today+1y:dd.MM.yyyy}` are dates (d, w, m, y; the
 * format is that of Unicode TR 35), `{name}` is a field of the copy's row. What is not known stays as
 * it is typed.
 */
export function filledText(text: string, facts: CopyFacts): string {
  if (!text.includes('{')) return text;
  return text
    .replace(COUNTER, (whole: string, from: string, step?: string) => {
      if (facts.number === undefined) return whole;
      // Numbers of any length: lot numbers have more digits than a double holds.
      const count = BigInt(from) + BigInt(facts.number - 1) * BigInt(step ?? 1);
      return String(count).padStart(from.length, '0');
    })
    .replace(DATE, (whole: string, ...parts: (string | undefined)[]) => {
      const [sign, amount, unit, as] = parts;
      const by = Number(amount ?? 0) * (sign === '-' ? -1 : 1);
      const add = ADD[(unit ?? 'd') as keyof typeof ADD];
      return written(add(parse(facts.today, 'yyyy-MM-dd', new Date(0)), by), as) ?? whole;
    })
    .replace(FIELD, (whole: string, name: string) =>
      facts.row && Object.hasOwn(facts.row, name) ? (facts.row[name] ?? whole) : whole,
    );
}

/** A placeholder that is not understood and printed as it is typed. */
export interface UnreadPlaceholder {
  readonly typed: string;
  /** What was meant, as far as it can be told. */
  readonly meant?: string;
}

/** What stands between braces in a text and fills nothing. */
export function unreadPlaceholders(text: string): UnreadPlaceholder[] {
  const rest = text.replace(COUNTER, '').replace(DATE, (whole: string) => {
    const as = /:(.*)\}$/s.exec(whole)?.[1];
    return as === undefined || isDateFormat(as) ? '' : whole;
  });
  return [...rest.matchAll(/\{([^{}]+)\}/g)].flatMap(([typed, inner = '']): UnreadPlaceholder[] => {
    if (!/^(today\b|#)/i.test(inner) && typed.replace(FIELD, '') === '') return [];
    const meant = meantBy(inner);
    return [{ typed, ...(meant ? { meant: `{${meant}}` } : {}) }];
  });
}

/** Parts of a format that say a day. Source: Unicode TR 35, date field symbols, as date-fns reads them. */
const DAY_PARTS = /^[GyRuQqMLwIdEeicPo]+$/;

const isDateFormat = (as: string): boolean => written(new Date(0), as) !== undefined;

/** The runs of letters in a format that stand for something: what stands between quotes is said as it is. */
const lettersOf = (as: string): string[] => as.replace(/'[^']*'/g, ' ').match(/[A-Za-z]+/g) ?? [];

/** Letters that other programs use for parts of a day. */
const USUAL_LETTERS: Readonly<Record<string, string>> = { m: 'M', D: 'd', Y: 'y' };

/** What somebody meant who typed this between braces; undefined where that cannot be told. */
function meantBy(inner: string): string | undefined {
  const [, add = '', as] = /^today([^:]*)(?::(.*))?$/i.exec(inner) ?? [];
  if (/^today/i.test(inner)) {
    const [, sign, amount, unit = ''] = /^\s*([+-])\s*(\d{1,5})\s*([a-z]*)\s*$/i.exec(add) ?? [];
    const known = 'dwmy'.includes(unit[0]?.toLowerCase() ?? '?') ? unit[0]?.toLowerCase() : 'd';
    const by = amount ? `${sign}${amount}${known}` : '';
    const format = as?.replace(/[mDY]/g, (letter) => USUAL_LETTERS[letter] ?? letter);
    if (format === undefined) return `today${by}`;
    return isDateFormat(format) ? `today${by}:${format}` : `today${by}:${USUAL_DATE}`;
  }
  const [, from, step] = /^#\s*(\d+)?\s*(?:\+\s*(\d+))?/.exec(inner) ?? [];
  if (inner.startsWith('#')) return `#${from ?? 1}${step ? `+${step}` : ''}`;
  return undefined;
}

function written(day: Date, as = USUAL_DATE): string | undefined {
  if (!lettersOf(as).every((letters) => DAY_PARTS.test(letters))) return undefined;
  try {
    return format(day, as);
  } catch {
    return undefined; // a format that says nothing stays to be seen
  }
}
