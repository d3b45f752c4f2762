import Papa from 'papaparse';
import { err, ok, readZip, type Result } from '../base/index.ts';
import { columnName, freshKeys, LIST_LIMITS, listSchema, type List } from './list.ts';
import { readOds } from './workbook/ods.ts';
import { readXlsx } from './workbook/xlsx.ts';

/** What may stand between the fields of a table that is written as text. */
export const SEPARATORS = ['\t', ';', ',', '|'] as const;
export type Separator = (typeof SEPARATORS)[number];

/** How the letters of a text file may be written. */
export const ENCODINGS = ['utf-8', 'utf-16le', 'utf-16be', 'windows-1252', 'windows-1250'] as const;
export type Encoding = (typeof ENCODINGS)[number];

/** A list as it was read, and how: what was found may be chosen otherwise. */
export interface ReadList {
  readonly list: List;
  /** Of a text file; a workbook has none. */
  readonly encoding?: Encoding;
  readonly separator?: Separator;
  /** The tables of a workbook by name, and which of them it is. */
  readonly tables?: readonly string[];
  readonly table?: string;
}

/** What a reader is told to take in the place of what it would find. */
export interface ListChoices {
  readonly encoding?: Encoding | undefined;
  readonly separator?: Separator | undefined;
  readonly table?: string | undefined;
}

const MOST_BYTES = 20_000_000;

/** Reads a table from a file: text with fields between separators, or a workbook (Office Open XML or OpenDocument) with its cells as they are shown. */
export async function readListFile(
  bytes: Uint8Array,
  choices: ListChoices = {},
): Promise<Result<ReadList>> {
  if (bytes.length > MOST_BYTES)
    return err('list/too-large', { megabytes: Math.round(bytes.length / 1e6) });
  if (bytes[0] === 0x50 && bytes[1] === 0x4b) return readTables(bytes, choices.table);
  const encoding = choices.encoding ?? (await encodingOf(bytes));
  const text = new TextDecoder(encoding).decode(bytes);
  if (text.includes('\0')) return err('list/unread', { because: 'bytes' });
  const separator = choices.separator ?? separatorOf(text);
  const list = parseList(text, choices.separator);
  return list.ok ? ok({ list: list.value, encoding, separator }) : list;
}

/**
 * Reads a table that was pasted or comes from a file: tabs, commas or semicolons between the fields
 * (found by itself unless told), quotes around those that need them (RFC 4180), names of the columns in
 * the first row. A column that is named like a quantity and holds numbers alone counts copies.
 */
export function parseList(text: string, separator?: Separator): Result<List> {
  const table = parseTable(text, separator);
  return table.ok ? listFrom(table.value) : table;
}

/**
 * The rows of a table that is written as text, field by field. Quotes that do not close are a problem,
 * or are read as signs where the separator is given.
 */
export function parseTable(text: string, separator?: Separator): Result<string[][]> {
  const whole = text.replace(/^\uFEFF/, '').trimEnd();
  const delimiter = separator ?? separatorOf(whole);
  const plain = whole.replace(SEPARATOR_LINE, '');
  const settings = { skipEmptyLines: 'greedy', delimiter } as const;
  const { data, errors } = Papa.parse<string[]>(plain, settings);
  const broken = errors.find(({ type }) => type === 'Quotes');
  if (!broken) return ok(data);
  // Who chose the separator sees each line as it is; a quote is a sign like others then.
  if (separator) return ok(Papa.parse<string[]>(plain, { ...settings, quoteChar: '\0' }).data);
  const at = (broken.row ?? 0) + 1;
  return err('list/quotes', {
    row: at,
    because: broken.code === 'MissingQuotes' ? 'open' : 'behind',
  });
}

/** A first line by which spreadsheets tell the separator. */
const SEPARATOR_LINE = /^sep=(.)\r?\n/i;

/** A list from the rows of a table, names of the columns first. */
function listFrom(data: readonly (readonly string[])[]): Result<List> {
  const [head, ...rows] = data
    .map((row) => row.map((field) => field.trim()))
    .filter((row) => row.some((field) => field !== ''));
  if (!head) return err('list/empty', {});
  if (head.length > LIST_LIMITS.columns || rows.length > LIST_LIMITS.rows)
    return err('list/too-large', {
      columns: head.length,
      rows: rows.length,
      mostColumns: LIST_LIMITS.columns,
      mostRows: LIST_LIMITS.rows,
    });
  const columns: string[] = [];
  for (const [at, typed] of head.entries()) columns.push(columnName(typed, columns, at + 1));
  const keys = freshKeys(rows.length, []);
  const made = {
    columns,
    rows: rows.map((row, at) => ({
      key: keys[at],
      fields: columns.map((_, column) => row[column] ?? ''),
    })),
  };
  const read = listSchema.safeParse(made);
  if (!read.success) return err('list/unread', { because: 'long-field' });
  const quantity = columns.find(
    (name, at) => QUANTITY.test(name) && read.data.rows.every(({ fields }) => isCount(fields[at])),
  );
  return ok(quantity === undefined ? read.data : { ...read.data, quantity });
}

const QUANTITY = /^(quantity|qty|copies|count|amount|pieces)$/i;
const isCount = (field = ''): boolean => /^\d{0,3}$/.test(field);

/** What stands most often between the names of the columns; a single column may have commas in it. */
function separatorOf(text: string): Separator {
  const named = SEPARATOR_LINE.exec(text.replace(/^\uFEFF/, ''))?.[1];
  const known = SEPARATORS.find((mark) => mark === named);
  if (known) return known;
  // Between quotes a name may hold anything, line ends too.
  const head = /^.*$/m.exec(text.trimStart().replace(/"(?:[^"]|"")*"/g, ''))?.[0] ?? '';
  const count = (mark: string): number => head.split(mark).length - 1;
  return SEPARATORS.reduce((best, mark) => (count(mark) > count(best) ? mark : best));
}

/** UTF-8 where it is that, else what the letters look like; spreadsheets of older computers use one byte each. */
async function encodingOf(bytes: Uint8Array): Promise<Encoding> {
  if (bytes[0] === 0xff && bytes[1] === 0xfe) return 'utf-16le';
  if (bytes[0] === 0xfe && bytes[1] === 0xff) return 'utf-16be';
  const [even, odd] = zerosOf(bytes.subarray(0, 10_000));
  if (even + odd > 0) return odd > even ? 'utf-16le' : 'utf-16be';
  try {
    new TextDecoder('utf-8', { fatal: true }).decode(bytes);
    return 'utf-8';
  } catch {
    const { analyse } = await import('chardet');
    const names = analyse(bytes.subarray(0, 100_000)).map(({ name }) => name.toLowerCase());
    const found = names.find((name) => name === 'iso-8859-2' || name === 'iso-8859-1');
    return found === 'iso-8859-2' ? 'windows-1250' : 'windows-1252';
  }
}

/** How many bytes at even and at odd places are 0, as half of each plain letter is in UTF-16. */
function zerosOf(bytes: Uint8Array): readonly [number, number] {
  const zeros: [number, number] = [0, 0];
  bytes.forEach((byte, at) => {
    if (byte === 0) zeros[at % 2 === 0 ? 0 : 1]++;
  });
  return zeros;
}

const MOST_UNPACKED = 60_000_000;

async function readTables(bytes: Uint8Array, wanted?: string): Promise<Result<ReadList>> {
  const unread = err('list/unread', { because: 'workbook' });
  try {
    const zip = readZip(bytes, { entries: 2000, bytes: MOST_UNPACKED });
    if ('fault' in zip) return unread;
    const files = Object.fromEntries(zip.entries.map((entry) => [entry.name, entry.bytes]));
    const found = files['xl/workbook.xml']?.length
      ? await readXlsx(files)
      : files['content.xml']?.length
        ? readOds(files)
        : undefined;
    if (!found) return unread;
    const tables = found.map(({ name }) => name);
    const one = found.find(({ name }) => name === wanted) ?? found.find(({ rows }) => rows.length);
    const list = listFrom(one?.rows ?? []);
    return list.ok ? ok({ list: list.value, tables, ...(one ? { table: one.name } : {}) }) : list;
  } catch {
    return unread;
  }
}

/** The list as text that can be pasted again: tabs between the fields. */
export const listText = ({ columns, rows }: List): string =>
  Papa.unparse([columns, ...rows.map(({ fields }) => fields)], { delimiter: '\t', newline: '\n' });
