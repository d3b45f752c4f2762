import { artwork } from './artwork.ts';
import { edge } from './edge.ts';
import { proof } from './proof.ts';
import { run } from './run.ts';
import { sheet } from './sheet.ts';
import { size } from './size.ts';
import { stock } from './stock.ts';
import { ui } from './ui.ts';

const counted = (number: number, one: string): string =>
  `${number} ${one}${number === 1 ? '' : 's'}`;

/** Every word on the screen, in one place. */
export const texts = {
  brand: 'Little Peel',
  places: { shelf: 'Shelf' },
  search: 'Find a job',
  settings: {
    open: 'Settings',
    unit: 'Unit of length',
    theme: 'Light or dark',
    themes: { light: 'Light', dark: 'Dark' },
  },
  kept: {
    kept: 'Kept just now',
    all: 'All kept here',
    keeping: 'Keeping …',
    failed: 'Not kept',
    reading: 'Read only',
  },
  full: {
    what: 'This browser has no more room, so the last changes are not kept yet.',
    remedy: 'Export this job now, then delete jobs that are done.',
  },
  shelf: {
    title: 'What are you labelling?',
    beginnings: {
      lid: { name: 'Lid or tin', hint: 'Round, measured across or around' },
      face: { name: 'Flat face', hint: 'A packet, a box, a bar' },
      'label-sheet': { name: 'Bought label sheet', hint: 'Die-cut, its labels are the size' },
    },
    heading: 'On the shelf',
    jobs: (count: number): string => (count === 1 ? '1 job' : `${count} jobs`),
    demo: 'These are the sample jobs of a made-up nursery, “Thistle & Fen”. Try anything with them.',
    removeDemo: 'Remove the samples',
    demoRemoved: 'The samples are gone.',
    bringDemo: 'Bring the samples back',
    open: 'Open a file',
    backUp: 'Back up all',
    restore: 'Restore a backup',
    empty: 'Nothing on the shelf yet. Choose what you are labelling, or open a .peel file.',
    noMatch: (query: string): string => `No job is called anything like “${query}”.`,
    deleted: (name: string): string => `“${name}” is deleted.`,
    duplicated: (name: string): string => `“${name}” is on the shelf.`,
    opened: (name: string): string => `“${name}” was brought in.`,
    restored: (count: number): string => `${texts.shelf.jobs(count)} restored.`,
    damaged: (count: number): string => ` ${count} could not be read.`,
    unread: (count: number): string =>
      `${texts.shelf.jobs(count)} on this shelf cannot be read by this version.`,
    run: (day: string): string => `run ${day}`,
    rename: 'Rename',
    duplicate: 'Duplicate',
    export: 'Export as .peel',
    delete: 'Delete',
    printAgain: 'Print again',
    menu: (name: string): string => `More for ${name}`,
    copyOf: (name: string): string => `${name}, copy`,
    drop: 'Drop .peel files or a backup here',
  },
  artwork,
  edge,
  proof,
  run,
  sheet,
  size,
  stock,
  ui,
  undo: 'Undo',
  redo: 'Redo',
  cancel: 'Cancel',
  close: 'Close',
  ticket: {
    thing: 'Thing',
    size: 'Size',
    stock: 'Stock',
    artwork: 'Artwork',
    edge: 'Edge',
    copies: 'Copies',
    proof: 'Proof',
    run: 'Run',
    perSheet: (count: number): string => `${count} a sheet`,
    summary: (copies: number, sheets: number, spare: number): string =>
      `${copies} on ${sheets} ${sheets === 1 ? 'sheet' : 'sheets'}${spare > 0 ? ` · room for ${spare} more` : ''}`,
    nextRun: 'Go to the run',
    nextFinding: (count: number): string =>
      `Look at ${count} ${count === 1 ? 'finding' : 'findings'}`,
    nextArtwork: 'Design the label',
    jobTicket: 'Job ticket',
    jobName: 'Name of the job',
    lid: (size: string): string => `Lid, ${size} across the flat`,
    lidAround: (size: string): string => `Lid, ${size} around`,
    face: (width: string, height: string): string => `Face, ${width} × ${height}`,
    labelSheet: 'A bought label sheet',
    round: (size: string): string => `Round, Ø ${size}`,
    oval: (width: string, height: string): string => `Oval, ${width} × ${height}`,
    square: (width: string, height: string): string => `${width} × ${height}`,
    pieces: (pieces: number, elements: number): string =>
      `${counted(pieces, 'piece')} · ${counted(elements, 'element')}`,
    edgeFact: (bleed: string): string => `As the shape · bleed ${bleed}`,
    wanted: (count: number): string => `${count} wanted`,
    ofEach: (count: number): string => ` · ${count} of each`,
    onSheets: (count: number): string => ` · ${counted(count, 'sheet')}`,
    looking: 'Looking …',
    clean: 'Nothing to mend',
    findings: (count: number, kind: string): string => counted(count, kind),
    notRun: 'Not yet',
    states: { done: 'done', look: 'to look at', stop: 'stops the run', open: 'open' },
  },
  lock: {
    reader: 'This job is open in another tab, which keeps its changes. You are reading along.',
    take: 'Take over here',
  },
  problem: {
    what: 'That did not work.',
    remedy: 'Try again; if it stays, reload the page: nothing that was kept is lost.',
  },
  missing: { what: 'This job is not on this shelf.', remedy: 'Back to the shelf' },
} as const;
