import { LIST_LIMITS } from '../list.ts';

/** The files of a packed workbook by name. */
export type WorkbookFiles = Readonly<Record<string, Uint8Array>>;

/** One table of a workbook: its cells as they are shown. */
export interface WorkbookTable {
  readonly name: string;
  readonly rows: readonly (readonly string[])[];
}

/** Rows that are being filled, however few of their cells a file names. */
export class TableRows {
  readonly rows: string[][] = [];

  /** Puts a text into a cell, from 0; what no list can hold is left out, but counts. */
  put(row: number, column: number, text: string): void {
    if (text === '' || row > 2 * LIST_LIMITS.rows || column > 2 * LIST_LIMITS.columns) return;
    while (this.rows.length <= row) this.rows.push([]);
    const cells = this.rows[row] as string[];
    while (cells.length <= column) cells.push('');
    cells[column] = text;
  }
}
