/** What of a set is printed again. */
export const again = {
  title: (job: string): string => `Print “${job}” again`,
  ofEach: 'of each label',
  aRow: 'for each row',
  countOf: (name: string): string => `How many of ${name}`,
  go: 'Go to the run',
  then: 'Then',
  next: (name: string): string => `Go on with ${name}`,
};
