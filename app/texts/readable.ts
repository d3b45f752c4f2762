/** Words of how well words can be read. */
export const readable = {
  title: 'Readable',
  atSize: 'at true size',
  looking: 'Looking …',
  needed: (ratio: number): string => `${ratio} needed`,
  ratio: (ratio: string): string => `${ratio} : 1`,
  fact: (ratio: string, wanted: number): string => `Contrast ${ratio} to 1, ${wanted} needed`,
  size: 'In print',
  points: (size: string): string => `${size} pt`,
  toEdge: 'To the edge',
  waysHint: 'Point at one to see it on the label.',
  ways: {
    plate: 'A plate behind',
    outline: 'An outline',
    calm: 'A calmer ground',
    ink: 'Another ink',
  },
} as const;
