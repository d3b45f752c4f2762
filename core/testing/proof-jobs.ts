import { expectOk } from '../base/index.ts';
import { createJob, type CommandCall, type Job } from '../job/index.ts';
import { parseList, type Code, type Ornament } from '../piece/index.ts';
import { plainBuild, type Punched } from '../shape/index.ts';
import { firstStock, MATT_PAPER } from '../stock/index.ts';
import { exampleWords, runAll } from './example-job.ts';

// Jobs that a proof has something to say of, and the steps that make them.

export const PIECE = 'piece-1';
export const plain = (...calls: CommandCall[]): Job =>
  runAll(
    createJob('lid', { id: 'j', today: '2026-04-18' }),
    { name: 'change-piece', args: { piece: PIECE, changes: { ground: '#f4e9d4' } } },
    { name: 'change-plan', args: { changes: { gap: 4 } } },
    ...calls,
  );
/** Two round stickers 5 mm apart in an outline 6 mm around them, the second one moved. */
export const stickerSheet = (second: { x: number; y: number }): Job =>
  plain(
    { name: 'want', args: { piece: PIECE, count: 2 } },
    {
      name: 'nest-sheets',
      args: { sheets: [[60, 125].map((x) => ({ piece: PIECE, x, y: 120, angle: 0 }))] },
    },
    { name: 'make-sticker-sheet', args: { sheet: 0 } },
    { name: 'change-elements', args: { piece: 'sheet-1', changes: { 'sticker-2': second } } },
  );
export const scissors: CommandCall = {
  name: 'choose-material',
  args: { material: { ...MATT_PAPER, tool: 'scissors' } },
};
export const words = (changes: Parameters<typeof exampleWords>[0]): CommandCall => ({
  name: 'add-element',
  args: { piece: PIECE, element: exampleWords(changes) },
});
const place = { id: '', x: 0, y: 0, angle: 0, locked: false };
export const code = (changes: Partial<Code>): CommandCall => ({
  name: 'add-element',
  args: {
    piece: PIECE,
    element: {
      ...place,
      kind: 'code',
      symbology: 'qr',
      text: 'https://a.example',
      width: 20,
      height: 20,
      color: '#000000',
      ground: '#ffffff',
      caption: false,
      ...changes,
    },
  },
});
export const ornament = (changes: Partial<Ornament>): CommandCall => ({
  name: 'add-element',
  args: {
    piece: PIECE,
    element: {
      ...place,
      kind: 'ornament',
      ornament: 'burst',
      width: 20,
      height: 20,
      count: 24,
      weight: 0.3,
      inks: ['#b5603a', '#b5603a'],
      ...changes,
    },
  },
});
/** A plate with a line of a width, mm. */
export const lined = (width: number): CommandCall => ({
  name: 'add-element',
  args: {
    piece: PIECE,
    element: {
      ...place,
      kind: 'plate',
      shape: { kind: 'circle', diameter: 30 },
      fill: null,
      line: { color: '#2a1b2e', width, style: 'solid' },
    },
  },
});
export const DIE_CUT = firstStock(true);

export const move = (x: number, y: number): CommandCall => ({
  name: 'move-copies',
  args: { places: { 'piece-1#1': { sheet: 0, x, y, angle: 0 } } },
});

/** An edge of discs of 20 mm beside each other, with a hole. */
export const edge = (discs: readonly { x: number }[], hole?: Punched): CommandCall => ({
  name: 'build-edge',
  args: {
    piece: PIECE,
    build: {
      ...plainBuild({ kind: 'circle', diameter: 20 }, 'disc'),
      parts: discs.map(({ x }) => ({
        use: 'add',
        name: 'disc',
        shape: { kind: 'circle', diameter: 20 },
        x,
        y: 0,
        angle: 0,
      })),
      punched: hole ? [hole] : [],
    },
  },
});

/** A plain job with a list whose rows are its copies. */
export const listed = (table: string, ...calls: CommandCall[]): Job =>
  plain(
    { name: 'set-list', args: { list: expectOk(parseList(table)) } },
    { name: 'want-rows', args: { piece: PIECE, each: 1 } },
    ...calls,
  );
