/** Words of the ledger. */
export const ledger = {
  title: 'Ledger',
  empty:
    'Every finished run is noted here: what was good, what was spoiled, what a label cost. Open a job and run it for real.',
  toShelf: 'To the shelf',
  filter: 'Find runs by job or stock',
  since: 'Runs of',
  times: { all: 'All time', year: 'The last year', month: 'The last 30 days' },
  csv: 'Save as CSV',
  runs: (count: number): string => (count === 1 ? '1 run' : `${count} runs`),
  none: 'No run fits.',
  good: 'Good labels',
  spoiled: 'Spoiled',
  cost: 'A good label cost',
  sheets: 'Sheets used',
  unknown: 'unknown',
  job: 'Job',
  stock: 'Stock',
  day: 'Day',
  took: 'Took',
  costs: 'A label',
  minutes: (minutes: number): string => `${minutes} min`,
  underMinute: 'under 1 min',
  compare: 'By stock and material',
  byStock: 'Cost of a good label, by stock',
  overTime: 'Spoiled, run by run',
  onHand: 'On hand',
  lasts: (days: number): string =>
    days < 60
      ? `lasts about ${Math.round(days)} days`
      : `lasts about ${Math.round(days / 30)} months`,
  noTelling: 'no telling yet',
  sheetsLeft: (count: number): string => (count === 1 ? '1 sheet' : `${count} sheets`),
  forget: (job: string): string => `Take the run of “${job}” out`,
  forgotten: 'The run is out of the ledger.',
  again: 'Print again',
} as const;
