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
    'put-plate-behind': 'A plate behind',
    'outline-letters': 'An outline',
    'calm-ground': 'A calmer ground',
    'print-light': 'Another ink',
    'print-dark': 'Another ink',
  },
} as const;
