/** Words of the stock desk. */
export const stock = {
  chosenStock: 'Chosen stock',
  sheets: 'Sheets',
  sheet: 'Sheet',
  margins: 'Printer reaches to',
  labels: 'Labels',
  toArtwork: 'Design the label',
  perSheet: (count: number): string => `${count} on a sheet`,
} as const;
