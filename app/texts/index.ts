import { again } from './again.ts';
import { allEdges } from './all-edges.ts';
import { art } from './art.ts';
import { artwork } from './artwork.ts';
import { combined } from './combined.ts';
import { counted } from './counted.ts';
import { devices } from './devices.ts';
import { edge } from './edge.ts';
import { exact } from './exact.ts';
import { feeding } from './feeding.ts';
import { found } from './found.ts';
import { fields } from './fields.ts';
import { fill } from './fill.ts';
import { guests } from './guests.ts';
import { history } from './history.ts';
import { ledger } from './ledger.ts';
import { list } from './list.ts';
import { ornaments } from './ornaments.ts';
import { some } from './some.ts';
import { printers } from './printers.ts';
import { proof } from './proof.ts';
import { readable } from './readable.ts';
import { run } from './run.ts';
import { seenAs } from './seen-as.ts';
import { sheet } from './sheet.ts';
import { set } from './set.ts';
import { size } from './size.ts';
import { start } from './start.ts';
import { stickers } from './stickers.ts';
import { stock } from './stock.ts';
import { typefaces } from './typefaces.ts';
import { ui } from './ui.ts';
import { variants } from './variants.ts';
import { words } from './words.ts';

/** Every word on the screen, in one place. */
export const texts = {
  brand: 'Little Peel',
  places: {
    shelf: 'Shelf',
    'art-drawer': 'Art drawer',
    'stock-room': 'Stock room',
    ledger: 'Ledger',
  },
  search: 'Find a job',
  settings: {
    open: 'Settings',
    unit: 'Unit of length',
    theme: 'Light or dark',
    currency: 'Prices in',
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
      lid: { name: 'Lid or tin', hint: 'Across or around' },
      wrap: { name: 'Jar or bottle', hint: 'A straight wall' },
      taper: { name: 'Pot or cup', hint: 'A wall that tapers' },
      band: { name: 'Box band', hint: 'A strip or a sleeve' },
      face: { name: 'Flat face', hint: 'A packet, a bar' },
      tag: { name: 'Tag', hint: 'Hangs or folds' },
      disc: { name: 'Disc', hint: 'A ring with a hole' },
      case: { name: 'Disc case', hint: 'Insert and spines' },
      envelope: { name: 'Envelope', hint: 'Address or seal' },
      picture: { name: 'Picture', hint: 'At an exact size' },
      own: { name: 'Own size', hint: 'It is known already' },
      'label-sheet': { name: 'Label sheet', hint: 'Bought, die-cut' },
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
    leftOut: (count: number): string =>
      count === 1 ? 'A part could not be read' : `${count} parts could not be read`,
    mended: (name: string, leftOut: readonly string[]): string =>
      `Some of “${name}” could not be read and is left out: ${some(leftOut, 4)}. History keeps it as it was.`,
    mendedFile: (name: string, leftOut: readonly string[]): string =>
      `“${name}” was brought in without what could not be read: ${some(leftOut, 4)}.`,
    cannotOpen: 'This job cannot be opened.',
    saveAsIs: 'Save it as it is',
    run: (day: string): string => `run ${day}`,
    rename: 'Rename',
    duplicate: 'Duplicate',
    export: 'Export as .peel',
    delete: 'Delete',
    printAgain: 'Print again',
    printAgainWhich: 'Print again …',
    menu: (name: string): string => `More for ${name}`,
    copyOf: (name: string): string => `${name}, copy`,
    drop: 'Drop pictures, .peel files or a backup here',
    sticker: {
      name: 'Stickers from pictures',
      hint: 'Drop them here or choose them: each is cut around what it shows.',
      cutting: (at: number, of: number): string => `Cutting around picture ${at} of ${of} …`,
      made: (count: number): string => `${counted(count, 'sticker')} made.`,
      jobName: (count: number): string => counted(count, 'sticker'),
    },
  },
  art,
  allEdges,
  artwork,
  combined,
  devices,
  feeding,
  found,
  edge,
  exact,
  fields,
  fill,
  again,
  guests,
  history,
  ledger,
  list,
  ornaments,
  printers,
  proof,
  readable,
  run,
  seenAs,
  sheet,
  set,
  size,
  start,
  stickers,
  stock,
  ui,
  variants,
  typefaces,
  words,
  undo: 'Undo',
  redo: 'Redo',
  cancel: 'Cancel',
  drops: {
    list: 'A list fills the labels of a job: open the job, then drop the list on it.',
    picture: 'Open a job and drop it there, or on the shelf to begin with stickers.',
  },
  close: 'Close',
  confirm: 'Confirm',
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
    summary: (copies: number, sheets: number, free: number): string =>
      `${copies} on ${sheets} ${sheets === 1 ? 'sheet' : 'sheets'}${free > 0 ? ` · room for ${free} more` : ''}`,
    nextRun: 'Go to the run',
    nextFinding: (count: number): string =>
      `Look at ${count} ${count === 1 ? 'finding' : 'findings'}`,
    nextArtwork: 'Design the label',
    jobTicket: 'Job ticket',
    jobName: 'Name of the job',
    lid: (size: string): string => `Lid, ${size} across the flat`,
    lidAround: (size: string): string => `Lid, ${size} around`,
    sided: (name: string, ...sides: readonly string[]): string => `${name}, ${sides.join(' × ')}`,
    wall: (across: string, high: string): string => `Wall, Ø ${across} × ${high}`,
    taper: (top: string, bottom: string, high: string): string =>
      `Wall, ${top} to ${bottom} × ${high}`,
    disc: (size: string): string => `Disc, Ø ${size}`,
    names: {
      band: 'Box',
      face: 'Face',
      tag: 'Tag',
      case: 'Disc case',
      envelope: 'Envelope label',
      picture: 'Picture',
      own: 'Own size',
    },
    arched: (width: string, height: string): string => `Arched, ${width} × ${height}`,
    bent: (width: string, height: string): string => `Bent, ${width} × ${height}`,
    moreSizes: (count: number): string => ` · ${count} more`,
    ring: (size: string): string => `Ring, Ø ${size}`,
    labelSheet: 'A bought label sheet',
    stockOf: (sheet: string, material: string): string => `${sheet} · ${material.toLowerCase()}`,
    round: (size: string): string => `Round, Ø ${size}`,
    oval: (width: string, height: string): string => `Oval, ${width} × ${height}`,
    square: (width: string, height: string): string => `${width} × ${height}`,
    pieces: (pieces: number, elements: number): string =>
      `${counted(pieces, 'piece')} · ${counted(elements, 'element')}`,
    edgeFact: (bleed: string): string => `As the shape · bleed ${bleed}`,
    builtEdge: (offset: string, bleed: string): string => `Offset ${offset} · bleed ${bleed}`,
    wanted: (count: number): string => `${count} wanted`,
    printedNow: (now: number, all: number): string => `${now} of ${all} now`,
    ofEach: (count: number): string => ` · ${count} of each`,
    onSheets: (count: number): string => ` · ${counted(count, 'sheet')}`,
    looking: 'Looking …',
    clean: 'Nothing to mend',
    findings: (count: number, kind: string): string => counted(count, kind),
    notRun: 'Not yet',
    underWay: (steps: number): string =>
      `Under way, ${steps} ${steps === 1 ? 'step' : 'steps'} done`,
    states: { done: 'done', look: 'to look at', stop: 'stops the run', open: 'open' },
  },
  lock: {
    reader: 'This job is open in another tab, which keeps its changes. You are reading along.',
    take: 'Take over here',
    open: (jobs: readonly string[]): { what: string; remedy: string } => ({
      what: `${jobs.map((name) => `“${name}”`).join(', ')} could not be changed: open in another tab.`,
      remedy: 'Close it there, then do this again.',
    }),
  },
  problem: {
    what: 'That did not work.',
    remedy: 'Try again; if it stays, reload the page: nothing that was kept is lost.',
  },
  missing: { what: 'This job is not on this shelf.', remedy: 'Back to the shelf' },
} as const;
