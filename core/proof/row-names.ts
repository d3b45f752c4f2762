import type { List, ListRow } from '../piece/index.ts';

/** A row as people know it. */
export const rowName = (list: List, row: ListRow): string =>
  `“${row.fields.find((field) => field !== '') ?? `row ${list.rows.indexOf(row) + 1}`}”`;

const SHOWN = 3;

/** Some of what is meant, by name, and how many more there are. */
export const some = (names: readonly string[]): string => {
  const more = names.length - SHOWN;
  return names.slice(0, SHOWN).join(', ') + (more > 0 ? ` and ${more} more` : '');
};
