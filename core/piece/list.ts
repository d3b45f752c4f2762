import Papa from 'papaparse';
import { z } from 'zod';
import { bad, good, type Result } from '../base/index.ts';

/** What a list may hold at most. */
export const LIST_LIMITS = { columns: 60, rows: 5000 } as const;

/** A table whose rows fill the placeholders of copies, one row a copy. */
export const listSchema = z.object({
  /** As they stand in placeholders: `{name}`. */
  columns: z.array(z.string().min(1).max(40)).min(1).max(LIST_LIMITS.columns),
  rows: z.array(z.array(z.string().max(2000))).max(LIST_LIMITS.rows),
});
export type List = z.infer<typeof listSchema>;

/** The fields of the row that a copy takes, by their names; after the last row the first comes again. */
export function rowOf(
  { columns, rows }: List,
  number: number,
): Readonly<Record<string, string>> | undefined {
  const row = rows[(number - 1) % Math.max(1, rows.length)];
  return row && Object.fromEntries(columns.map((column, at) => [column, row[at] ?? '']));
}

/**
 * Reads a table that was pasted or comes from a file: tabs, commas or semicolons between the fields
 * (found by itself), quotes around those that need them (RFC 4180), names of the columns in the first
 * row.
 */
export function parseList(text: string): Result<List> {
  const plain = text.replace(/^\uFEFF/, '').trimEnd();
  const { data } = Papa.parse<string[]>(plain, {
    skipEmptyLines: 'greedy',
    delimiter: separatorOf(plain),
  });
  const [head, ...rows] = data.map((row) => row.map((field) => field.trim()));
  if (!head?.some((name) => name !== ''))
    return bad(
      'list/empty',
      'There is no table in this text.',
      'Paste a table whose first row names its columns.',
    );
  if (head.length > LIST_LIMITS.columns || rows.length > LIST_LIMITS.rows)
    return bad(
      'list/too-large',
      `This table has ${head.length} columns and ${rows.length} rows.`,
      `Keep to ${LIST_LIMITS.columns} columns and ${LIST_LIMITS.rows} rows.`,
    );
  const columns = namedColumns(head);
  const made = listSchema.safeParse({
    columns,
    rows: rows.map((row) => columns.map((_, at) => row[at] ?? '')),
  });
  return made.success
    ? good(made.data)
    : bad('list/unread', 'A field of this table is too long.', 'Keep to 2,000 letters a field.');
}

/** What stands most often between the names of the columns; a single column may have commas in it. */
function separatorOf(text: string): string {
  const head = (/^.*$/m.exec(text.trimStart())?.[0] ?? '').replace(/"[^"]*"/g, '');
  const count = (mark: string): number => head.split(mark).length - 1;
  const marks = ['\t', ';', ',', '|'];
  return marks.reduce((best, mark) => (count(mark) > count(best) ? mark : best));
}

/** Names that can stand in placeholders, no two alike. */
function namedColumns(head: readonly string[]): string[] {
  const taken = new Set<string>();
  return head.map((typed, at) => {
    const plain = typed
      .replace(/[^\p{L}\p{N}_-]+/gu, ' ')
      .replace(/^[^\p{L}_]+/u, '')
      .trim()
      .slice(0, 36);
    const name = plain || `column ${at + 1}`;
    let free = name;
    for (let count = 2; taken.has(free); count++) free = `${name} ${count}`;
    taken.add(free);
    return free;
  });
}

/** The list as text that can be pasted again: tabs between the fields. */
export const listText = ({ columns, rows }: List): string =>
  Papa.unparse([columns, ...rows], { delimiter: '\t', newline: '\n' });
