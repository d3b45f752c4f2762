import type { WaySeen } from '../../core/color/index.ts';

/** Words of looking at a print in other ways. */
export const seenAs = {
  title: 'Seen as',
  hint: 'Only the look of the desk changes; nothing of what is printed.',
  ways: {
    screen: 'On the screen',
    print: 'In print, on this paper',
    grey: 'In grey',
    'red-blind': 'Without red',
    'green-blind': 'Without green',
    'blue-blind': 'Without blue',
  } satisfies Record<WaySeen | 'screen', string>,
} as const;
