import type { PaperSide } from '../../core/stock/index.ts';

/** Words of test pages and of how paper is laid into a tray. */
export const feeding = {
  title: 'Test page',
  hint: 'A ruler of 100 mm, a patch of each ink, and an arrow that shows which way round the paper goes.',
  print: 'Print a test page',
  printing: 'The test page is printed.',
  save: 'Save a test page',
  wayRound: 'Which way round?',
  cross:
    'Pencil a cross on the side that looks up in the tray, at the end that goes in first. Print the test page on that sheet, and tap how it came out.',
  cameOut: 'How did it come out?',
  results: {
    'up top': 'On the side with the cross, the arrow to the cross',
    'up bottom': 'On the side with the cross, the arrow away from it',
    'down top': 'On the other side, the arrow to the cross',
    'down bottom': 'On the other side, the arrow away from it',
  },
  kept: 'Each run shows from now on how the sheets lie in this tray.',
  again: 'Find out once more',
  picture: 'How the sheet lies in the tray',
  top: 'top',
  bottom: 'bottom',
  seen: {
    'to-print': 'side to print',
    behind: 'other side',
    printed: 'printed side',
  },
  lies: {
    front: {
      up: 'Lay the sheets in with the side to print looking up',
      down: 'Lay the sheets in with the side to print looking down',
    },
    back: {
      up: 'Lay the stack back in with its printed side looking down',
      down: 'Lay the stack back in with its printed side looking up',
    },
  } satisfies Record<PaperSide, unknown>,
  first: { top: 'the top end first', bottom: 'the bottom end first' },
  unknown: 'Find out which way round paper lies in this printer',
  before: {
    title: 'Before it prints',
    asking: 'Asking the printer …',
    ready: 'The printer is ready.',
    stops: 'See to the printer first:',
    askAgain: 'Ask again',
    allTheSame: 'Print all the same',
  },
} as const;
