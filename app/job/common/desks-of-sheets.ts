/** The desks that show sheets, with all things that lie on them. */
const OF_SHEETS: readonly unknown[] = ['sheet', 'proof', 'run'];

/** @param desk the name of its route */
export const isOfSheets = (desk: unknown): boolean => OF_SHEETS.includes(desk);
