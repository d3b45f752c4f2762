/** Words of the stock desk. */
export const stock = {
  chosenStock: 'Chosen stock',
  sheets: 'Sheets',
  sheet: 'Sheet',
  margins: 'Printer reaches to',
  labels: 'Labels',
  toArtwork: 'Design the label',
  find: 'Find a sheet by size or number',
  findHint: 'Size or number: 2 x 4 in, round 40 mm, 24 on A4',
  found: 'Nearest first',
  plain: 'Plain sheets',
  nearest: 'Die-cut, nearest to your label',
  dieCuts: 'Die-cut sheets',
  tooSmall: 'Too small',
  perSheet: (count: number): string => `${count} on a sheet`,
} as const;
