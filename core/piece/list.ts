import * as z from 'zod';
import { apart, latestFor } from '../base/index.ts';
import { color } from './fill.ts';

/** What a list may hold at most. */
export const LIST_LIMITS = { columns: 60, rows: 5000, letters: 2000, ofRow: 1000 } as const;

/** One row of a list. Its key stays while its fields change and rows are sorted. */
export const listRowSchema = z.object({
  key: z.string().regex(/^[a-z][a-z0-9]{0,11}$/),
  fields: z.array(z.string().max(LIST_LIMITS.letters)).max(LIST_LIMITS.columns),
  /** It prints nothing. */
  off: z.literal(true).optional(),
});
export type ListRow = z.infer<typeof listRowSchema>;

/** A table whose rows fill copies: their placeholders, and what columns are bound to. */
export const listSchema = z.object({
  /** As they stand in placeholders: `{name}`. */
  columns: z.array(z.string().min(1).max(40)).min(1).max(LIST_LIMITS.columns),
  rows: z.array(listRowSchema).max(LIST_LIMITS.rows).check(apart('key')),
  /** The column that says how many copies a row gives. */
  quantity: z.string().optional(),
  /** Colours of the pieces that a column says anew, in small letters. */
  colors: z
    .array(z.object({ column: z.string(), color }))
    .max(20)
    .optional(),
  /** Pictures that show what a column names, by the name of its file. */
  pictures: z
    .array(z.object({ column: z.string(), piece: z.string(), element: z.string() }))
    .max(50)
    .optional(),
});
export type List = z.infer<typeof listSchema>;

/** What a row says in each column, from first to last; nothing where it has no field. */
export const fieldsInOrder = (
  { columns }: Pick<List, 'columns'>,
  fields: readonly string[],
): string[] => columns.map((_, at) => fields[at] ?? '');

const fieldsByName = latestFor(
  ({ fields }: ListRow, columns: readonly string[]): Readonly<Record<string, string>> =>
    Object.fromEntries(columns.map((column, at) => [column, fields[at] ?? ''])),
);

/** The fields of a row by the names of their columns. */
export const fieldsOfRow = ({ columns }: List, row: ListRow): Readonly<Record<string, string>> =>
  fieldsByName(row, columns);

/** What a row has in a column; nothing where there is no such column. */
export function fieldOf({ columns }: List, { fields }: ListRow, column: string): string {
  return fields[columns.indexOf(column)] ?? '';
}

/** The rows that print. */
export const rowsOn = ({ rows }: List): ListRow[] => rows.filter(({ off }) => !off);

/** How many copies a row gives: one, or what its column of quantities says; undefined when that is no number. */
export function findQuantity(list: List, row: ListRow): number | undefined {
  if (list.quantity === undefined) return 1;
  const typed = fieldOf(list, row, list.quantity).trim();
  if (typed === '') return 1;
  const count = Number(typed.replace(/\s/g, ''));
  return Number.isInteger(count) && count >= 0 && count <= LIST_LIMITS.ofRow ? count : undefined;
}

/** Where a row's words would be longest: the rows with most letters in a column, the longest first. */
export function longestRows(list: List, column: string, most: number): ListRow[] {
  const length = (row: ListRow): number => fieldOf(list, row, column).length;
  return rowsOn(list)
    .sort((one, other) => length(other) - length(one))
    .slice(0, most);
}

/** Keys for rows that have none yet, apart from those that are taken: r1, r2 … */
export function freshKeys(count: number, taken: Iterable<string>): string[] {
  const numbers = [...taken].flatMap((key) => /^r(\d{1,9})$/.exec(key)?.[1] ?? []);
  const last = numbers.reduce((most, digits) => Math.max(most, Number(digits)), 0);
  return Array.from({ length: count }, (_, at) => `r${last + at + 1}`);
}

/** A column's name as it can stand in a placeholder, unlike those that are taken. */
export function columnName(typed: string, taken: readonly string[], number: number): string {
  const plain = typed
    .normalize('NFC')
    .replace(/[^\p{L}\p{M}\p{N}_-]+/gu, ' ')
    .replace(/^[^\p{L}_]+/u, '')
    .trim()
    .slice(0, 36);
  const name = plain || `column ${number}`;
  let free = name;
  for (let count = 2; taken.includes(free); count++) free = `${name} ${count}`;
  return free;
}

/**
 * A list as it is taken in for another: a row that says the same, or the same in its first column,
 * keeps its key and whether it prints, and columns of the same name keep what they are bound to.
 */
export function replaceList(before: List, next: List): List {
  const said = ({ fields }: ListRow): string => JSON.stringify(fields);
  const waiting = new Map<string, ListRow[]>();
  const offer = (key: string, row: ListRow): void =>
    void waiting.set(key, [...(waiting.get(key) ?? []), row]);
  for (const row of before.rows) {
    offer(`all ${said(row)}`, row);
    offer(`first ${row.fields[0] ?? ''}`, row);
  }
  const used = new Set<ListRow>();
  const find = (key: string): ListRow | undefined => {
    const found = waiting.get(key)?.find((row) => !used.has(row));
    if (found) used.add(found);
    return found;
  };
  const alike = next.rows.map((row) => find(`all ${said(row)}`));
  const kept = next.rows.map((row, at) => alike[at] ?? find(`first ${row.fields[0] ?? ''}`));
  const fresh = freshKeys(
    next.rows.length,
    [...before.rows, ...next.rows].map(({ key }) => key),
  );
  const has = ({ column }: { column: string }): boolean => next.columns.includes(column);
  const { quantity = next.quantity, colors, pictures } = before;
  return {
    columns: next.columns,
    rows: next.rows.map(({ fields }, at) => ({
      key: kept[at]?.key ?? fresh[at] ?? '',
      fields,
      ...(kept[at]?.off ? { off: true as const } : {}),
    })),
    ...(quantity !== undefined && next.columns.includes(quantity) ? { quantity } : {}),
    ...(colors?.some(has) ? { colors: colors.filter(has) } : {}),
    ...(pictures?.some(has) ? { pictures: pictures.filter(has) } : {}),
  };
}
