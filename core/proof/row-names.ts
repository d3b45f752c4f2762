import type { List, ListRow } from '../piece/index.ts';
import type { RowLabel } from './finding-values.ts';

/** A row as people know it. */
export const rowLabel = (list: List, row: ListRow): RowLabel =>
  row.fields.find((field) => field !== '') ?? { row: list.rows.indexOf(row) + 1 };

const SHOWN = 3;

/** Some of what is meant, and how much there is of it. */
export const some = <N>(names: readonly N[]): { names: readonly N[]; count: number } => ({
  names: names.slice(0, SHOWN),
  count: names.length,
});

/** A number as it is shown, with so many decimals. */
export const rounded = (number: number, decimals: number): number =>
  Number(number.toFixed(decimals));
