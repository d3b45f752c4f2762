import type { format } from 'numfmt';
import { TableRows, type WorkbookFiles, type WorkbookTable } from './workbook.ts';
import { readPart } from './parts.ts';

type Format = typeof format;

/**
 * The number formats that have a number alone (ECMA-376, 18.8.30). Dates that follow the computer's
 * region are written year first, which every region reads.
 */
const BUILT_IN: Readonly<Record<number, string>> = {
  1: '0',
  2: '0.00',
  3: '#,##0',
  4: '#,##0.00',
  9: '0%',
  10: '0.00%',
  11: '0.00E+00',
  12: '# ?/?',
  13: '# ??/??',
  14: 'yyyy-mm-dd',
  15: 'd-mmm-yy',
  16: 'd-mmm',
  17: 'mmm-yy',
  18: 'h:mm AM/PM',
  19: 'h:mm:ss AM/PM',
  20: 'h:mm',
  21: 'h:mm:ss',
  22: 'yyyy-mm-dd h:mm',
  37: '#,##0;(#,##0)',
  38: '#,##0;(#,##0)',
  39: '#,##0.00;(#,##0.00)',
  40: '#,##0.00;(#,##0.00)',
  45: 'mm:ss',
  46: '[h]:mm:ss',
  47: 'mm:ss.0',
  48: '##0.0E+0',
  49: '@',
};
const GENERAL = 'General';

/** Days from the first day of the one calendar of workbooks to that of the other. */
const DAYS_TO_1904 = 1462;

/** Reads the tables of a workbook (ECMA-376) with their cells as they are shown. */
export async function readXlsx(files: WorkbookFiles): Promise<WorkbookTable[]> {
  const { format } = await import('numfmt');
  const { sheets, from1904 } = readBook(files['xl/workbook.xml']);
  const targets = readTargets(files['xl/_rels/workbook.xml.rels']);
  const book: Book = {
    strings: readStrings(files['xl/sharedStrings.xml']),
    formats: readFormats(files['xl/styles.xml']),
    from1904,
    format,
  };
  return sheets.map(({ name, id }) => {
    const target = (targets.get(id) ?? '').replace(/^\//, '');
    const path = target.startsWith('xl/') ? target : `xl/${target}`;
    return { name, rows: readSheet(files[path], book) };
  });
}

interface Book {
  readonly strings: readonly string[];
  /** The format of each style of cells. */
  readonly formats: readonly string[];
  readonly from1904: boolean;
  readonly format: Format;
}

function readBook(bytes: Uint8Array | undefined): {
  sheets: { name: string; id: string }[];
  from1904: boolean;
} {
  const sheets: { name: string; id: string }[] = [];
  let from1904 = false;
  readPart(bytes, {
    open(name, at) {
      if (name === 'workbookPr') from1904 = /^(1|true)$/.test(at.date1904 ?? '');
      if (name === 'sheet') sheets.push({ name: at.name ?? '', id: at.id ?? '' });
    },
  });
  return { sheets, from1904 };
}

function readTargets(bytes: Uint8Array | undefined): Map<string, string> {
  const targets = new Map<string, string>();
  readPart(bytes, {
    open(name, { Id: id, Target: target }) {
      if (name === 'Relationship' && id && target) targets.set(id, target);
    },
  });
  return targets;
}

/** Texts that cells share; what tells how to say them is no part of them. */
function readStrings(bytes: Uint8Array | undefined): string[] {
  const strings: string[] = [];
  let [inText, aside, own] = [false, false, ''];
  readPart(bytes, {
    open(name) {
      if (name === 'si') own = '';
      if (name === 'rPh') aside = true;
      if (name === 't') inText = !aside;
    },
    text: (text) => void (inText && (own += text)),
    close(name) {
      if (name === 't') inText = false;
      if (name === 'rPh') aside = false;
      if (name === 'si') strings.push(own);
    },
  });
  return strings;
}

function readFormats(bytes: Uint8Array | undefined): string[] {
  const own = new Map<number, string>();
  const formats: string[] = [];
  let inCells = false;
  readPart(bytes, {
    open(name, at) {
      if (name === 'numFmt') own.set(Number(at.numFmtId), at.formatCode ?? GENERAL);
      if (name === 'cellXfs') inCells = true;
      if (name !== 'xf' || !inCells) return;
      const id = Number(at.numFmtId ?? 0);
      formats.push(own.get(id) ?? BUILT_IN[id] ?? GENERAL);
    },
    close: (name) => void (name === 'cellXfs' && (inCells = false)),
  });
  return formats;
}

function readSheet(bytes: Uint8Array | undefined, book: Book): readonly (readonly string[])[] {
  const table = new TableRows();
  let [row, column] = [-1, -1];
  let cell: { kind: string; style: number; value: string; hears: boolean } | undefined;
  readPart(bytes, {
    open(name, at) {
      if (name === 'row') [row, column] = [at.r ? Number(at.r) - 1 : row + 1, -1];
      if (name === 'c') {
        const place = placeOf(at.r);
        column = place?.column ?? column + 1;
        row = place?.row ?? row;
        cell = { kind: at.t ?? 'n', style: Number(at.s ?? 0), value: '', hears: false };
      }
      if (cell && (name === 'v' || name === 't')) cell.hears = true;
    },
    text: (text) => void (cell?.hears && (cell.value += text)),
    close(name) {
      if (cell && (name === 'v' || name === 't')) cell.hears = false;
      if (name !== 'c' || !cell) return;
      table.put(row, column, shown(cell, book));
      cell = undefined;
    },
  });
  return table.rows;
}

/** Row and column of a cell, from 0, by its name such as `B12`. */
function placeOf(name: string | undefined): { row: number; column: number } | undefined {
  const found = /^([A-Z]{1,3})(\d{1,7})$/.exec(name ?? '');
  if (!found?.[1]) return undefined;
  const column = [...found[1]].reduce((sum, letter) => sum * 26 + letter.charCodeAt(0) - 64, 0);
  return { row: Number(found[2]) - 1, column: column - 1 };
}

/** The text that a cell shows. */
function shown(cell: { kind: string; style: number; value: string }, book: Book): string {
  const { kind, style, value } = cell;
  if (value === '') return '';
  if (kind === 's') return book.strings[Number(value)] ?? '';
  if (kind === 'b') return value === '1' ? 'TRUE' : 'FALSE';
  if (kind === 'd') return value.slice(0, 10);
  if (kind !== 'n') return value;
  const pattern = book.formats[style] ?? GENERAL;
  const number = Number(value);
  if (!Number.isFinite(number)) return value;
  if (pattern === GENERAL) return String(Number(number.toPrecision(12)));
  const day = book.from1904 && isDate(pattern) ? number + DAYS_TO_1904 : number;
  try {
    return book.format(pattern, day).trim();
  } catch {
    return String(Number(number.toPrecision(12)));
  }
}

/** Whether a format shows days or hours: what stands in quotes or brackets is none. */
const isDate = (pattern: string): boolean =>
  /[dmyhs]/i.test(pattern.replace(/"[^"]*"|\\.|\[[^\]]*\]/g, '').replace(/general/gi, ''));
