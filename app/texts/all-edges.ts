import { counted } from './counted.ts';

/** Words of the view of all edges at once. */
export const allEdges = {
  seen: 'Which edges are seen',
  one: 'One',
  all: 'All edges',
  bench: 'All pieces with their edges',
  hint: 'Changes go to the chosen ones, or to all.',
  chosen: (count: number, of: number): string =>
    count === of ? `All ${of} pieces` : `${count} of ${of} pieces`,
  choose: (name: string): string => `Choose ${name}`,
  chooseAll: 'Choose all',
  chooseNone: 'Choose none',
  open: (name: string): string => `Open ${name}`,
  openIt: 'Open',
  wasBefore: 'Show as it was',
  differs: 'Edge of its own',
  asOthers: 'As the others',
  asOthersOf: (name: string): string => `${name} as the others`,
  nothing: 'Nothing to look at',
  findings: (count: number): string => `${count} to look at`,
  working: 'Working …',
  size: 'Size',
  by: 'All of one',
  ways: { height: 'height', width: 'width', longer: 'longer side', area: 'area' },
  measures: { height: 'Height', width: 'Width', longer: 'Longer side', area: 'Area' },
  range: (least: string, most: string): string =>
    least === most ? `Now ${least}` : `Now ${least} to ${most}`,
  own: 'As large as they came in',
  together: (area: string, sheets: string): string => `Together ${area}, ${sheets}`,
  sheets: (count: number): string => counted(count, 'sheet'),
  byHand: (count: number): string =>
    `${counted(count, 'copy', 'copies')} placed by hand ${count === 1 ? 'stays' : 'stay'} there.`,
  edge: 'Edge',
  rim: 'Rim',
  rimLong: 'Rim around the art',
  calm: 'Calm',
  calmLong: 'Bumps and dents finer than this are smoothed away',
  outside: (length: string, name: string): string =>
    `Leaves up to ${length} of the art outside: ${name}.`,
  inside: 'All of the art is inside.',
  mixed: (count: number): string =>
    `${counted(count, 'piece differs', 'pieces differ')} from the others.`,
  cut: 'Cut',
  cutLong: 'How pieces are cut',
  amounts: 'Copies',
  each: 'Of each',
  inAll: 'In all',
  fill: 'Fill one sheet',
  toSheet: 'Lay them out',
} as const;
