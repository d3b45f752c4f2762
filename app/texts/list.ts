/** Words of the list whose rows fill the copies. */
export const list = {
  title: 'List',
  open: 'From a list …',
  hint: 'Paste a table from a spreadsheet, or drop a CSV file here. Its first row names the columns; each further row fills one copy.',
  example: 'name\tbed\nSea Holly\tNorth border\nYarrow\tGravel',
  asText: 'The table as text',
  take: 'Take this table',
  back: 'Leave it as it was',
  choose: 'Choose a CSV file …',
  walk: 'Press a row to see it on the desk.',
  edit: 'Change as text',
  remove: 'Take the list away',
  wantAll: (count: number): string => `Want all ${count}, one copy a row`,
  row: (row: number, of: number): string => `Row ${row} of ${of}`,
} as const;
