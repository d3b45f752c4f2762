import fc from 'fast-check';
import type { Art } from '../art/index.ts';
import { ELEMENT_KINDS, MEETINGS, type PieceElement } from '../piece/index.ts';
import { plainBuild } from '../shape/index.ts';
import type { CopyId } from '../sheet/index.ts';
import { firstStock, MATT_PAPER } from '../stock/index.ts';
import { usualThing, type MeasuredThing } from '../things/index.ts';
import {
  COMMANDS,
  createJob,
  type CommandArgs,
  type CommandCall,
  type CommandName,
  type Job,
  type LookChanges,
  type OwnLook,
  type SizedBy,
} from '../job/index.ts';
import { examplePicture, exampleWords } from './example-job.ts';

// Calls of every command as nobody would make them: no numbers, endless texts, pieces that are gone.

const { oneof, constant, constantFrom, record, array, boolean, option, dictionary } = fc;

const number = oneof(
  constantFrom(0, -1, 1, 0.001, 0.5, 1e-9, -1e-9, 2.5, 3, 12, 14, 20, 97, 5000, 1e6, 1e308, -5000),
  constantFrom(NaN, Infinity, -Infinity, -0),
  fc.double({ min: -3000, max: 3000, noNaN: true }),
  fc.integer({ min: 0, max: 200 }),
);
const text = oneof(
  constantFrom('', ' ', 'a', 'Sea Holly', '{name}', '{#001}', '__proto__', 'constructor', '\u0000'),
  constantFrom(
    'Ü'.repeat(119),
    'long '.repeat(50),
    'x'.repeat(2001),
    '\ud800',
    'mint '.repeat(999),
  ),
  fc.string({ maxLength: 12 }),
);
const piece = constantFrom('piece-1', 'piece-2', 'piece-3', 'guest-1', 'gone', '');
const element = constantFrom('words-1', 'words-2', 'picture-1', 'plate-1', 'combined-1', 'gone');
const elements = array(element, { maxLength: 6 });
const copy = constantFrom(
  'piece-1#1',
  'piece-1#2',
  'piece-1#r1',
  'piece-2#1',
  'gone#9',
) as fc.Arbitrary<CopyId>;
const copies = array(copy, { maxLength: 4 });
const row = constantFrom('r1', 'r2', 'r3', 'gone');
const rows = array(row, { maxLength: 4 });
const column = oneof(constantFrom('name', 'latin', 'count', 'gone'), text);
const color = constantFrom('#7a2f6e', '#F4E9D4', 'red', '', '#12');
const maybe = <T>(of: fc.Arbitrary<T>): fc.Arbitrary<T | undefined> =>
  option(of, { nil: undefined });
const few = <T>(of: fc.Arbitrary<T>): fc.Arbitrary<T[]> => array(of, { maxLength: 4 });
const times = <T>(of: fc.Arbitrary<T>, most: number): fc.Arbitrary<T[]> =>
  fc
    .tuple(of, fc.integer({ min: 0, max: most }))
    .map(([one, count]) => Array(count).fill(one) as T[]);

const words = record({
  text,
  size: number,
  x: number,
  width: number,
  height: number,
  angle: number,
}).map((changes) => exampleWords(changes));
const anyElement: fc.Arbitrary<PieceElement> = oneof(
  words,
  record({ x: number, width: number, height: number }).map((changes) =>
    examplePicture('0'.repeat(64), changes),
  ),
  record({ width: number, piece }).map(({ width, piece: of }): PieceElement => ({
    id: '',
    kind: 'piece',
    piece: of,
    x: 0,
    y: 0,
    angle: 0,
    locked: false,
    width,
    height: 10,
  })),
  constantFrom(...ELEMENT_KINDS).map(
    (kind) => ({ kind, id: '', x: 0, y: 0 }) as unknown as PieceElement,
  ),
);
const changes = oneof(
  dictionary(
    constantFrom(
      'x',
      'y',
      'width',
      'size',
      'text',
      'fit',
      'opacity',
      'repeat',
      'path',
      'kind',
      'id',
    ),
    oneof(number, text, constant(null)),
    { maxKeys: 3 },
  ),
  constant({}),
);
const thing = oneof(
  constantFrom(
    'lid',
    'wrap',
    'taper',
    'band',
    'face',
    'tag',
    'disc',
    'case',
    'envelope',
    'picture',
    'own',
  ).chain((kind) =>
    dictionary(
      constantFrom(
        'diameter',
        'width',
        'height',
        'top',
        'bottom',
        'depth',
        'overlap',
        'outer',
        'radius',
      ),
      number,
      { maxKeys: 3 },
    ).map((own) => ({ ...usualThing(kind as MeasuredThing['kind']), ...own }) as MeasuredThing),
  ),
  constantFrom(6, 14, 20, 58, 300).map(
    (size): MeasuredThing =>
      ({ ...usualThing('face'), width: size, height: size * 0.7 }) as MeasuredThing,
  ),
);
const stock = record({ width: number, height: number }).map((size) =>
  size.width > 100 ? { ...firstStock(false), ...size } : firstStock(size.height > 3),
);
const art = (name: string): Art =>
  ({
    id: 'a'.repeat(64),
    kind: 'pixels',
    name,
    format: 'png',
    pixelWidth: 10,
    pixelHeight: 10,
    width: 10,
    height: 10,
    dpi: 300,
    dpiKnown: true,
    orientation: 1,
    transparent: false,
  }) as unknown as Art;
const someArt = text.map(art);
const place = record({ sheet: number, x: number, y: number, angle: number });
const list = record({ columns: few(column), rows: few(record({ key: row, fields: few(text) })) });
const nested = record({ piece, x: number, y: number, angle: number });

const setThing = constantFrom('thing-1', 'thing-2', 'thing-3', 'gone');
/** A job of another thing. */
export const otherJob = (beginning: 'lid' | 'tag'): Job =>
  createJob(beginning, { id: 'other', today: '2026-01-01' });
const lookChanges: fc.Arbitrary<LookChanges> = record({
  colors: dictionary(constantFrom('ground', 'main', 'second', 'accent', 'gone'), color),
  faces: dictionary(constantFrom('title', 'text', 'small'), text),
  says: dictionary(constantFrom('name', 'line', 'code', 'gone'), text),
});
const asOwn = ({ says, ...own }: LookChanges): OwnLook =>
  ({ ...own, says: Object.keys(says ?? {}) }) as OwnLook;

/** Arguments of every command, most of them of no use. */
const ARGS: { [N in CommandName]: fc.Arbitrary<CommandArgs<N>> } = {
  'name-fields': record({
    language: text,
    names: record({
      ingredients: text,
      use: text,
      warnings: text,
      'best-before': text,
      batch: text,
    }),
    before: record({
      ingredients: text,
      use: text,
      warnings: text,
      'best-before': text,
      batch: text,
    }),
  }),
  'emphasize-words': record({ words: few(text) }),
  'accept-finding': record({
    key: text,
    values: fc.dictionary(
      fc.constantFrom('piece', 'names', 'size'),
      fc.oneof(text, number, few(text)),
    ),
    note: text,
  }),
  'reopen-finding': record({ key: text }),
  'build-edge': record({
    piece,
    build: number.map((size) => plainBuild({ kind: 'circle', diameter: size }, 'Edge')),
  }),
  'size-edge': record({ piece, width: number }),
  'replace-art': record({ from: text, to: someArt }),
  'add-pieces': record({
    pieces: times(
      text.chain((name) =>
        fc
          .constantFrom(...createJob('lid', { id: 'x', today: '2026-01-01' }).pieces)
          .map((one) => ({
            ...one,
            name,
          })),
      ),
      220,
    ),
    art: few(someArt),
    wanted: number,
    instead: maybe(piece),
    places: few(place),
  }) as fc.Arbitrary<CommandArgs<'add-pieces'>>,
  'add-element': record({ piece, element: anyElement }),
  'add-elements': record({ piece, elements: times(anyElement, 520) }),
  'set-artwork': record({ piece, ground: color, elements: times(anyElement, 520) }),
  'change-elements': record({ piece, changes: dictionary(element, changes, { maxKeys: 3 }) }),
  'delete-elements': record({ piece, elements }),
  'duplicate-elements': record({ piece, elements, dx: number, dy: number }),
  'reorder-element': record({ piece, element, to: number }),
  'cover-label': record({ piece, element }),
  recolor: record({ colors: dictionary(color, color) }),
  'replace-words': record({ find: text, by: text }),
  'combine-elements': record({ piece, elements, how: constantFrom(...MEETINGS) }),
  'take-apart': record({ piece, element }),
  'set-list': record({ list: maybe(list) }),
  'change-fields': record({ fields: dictionary(row, dictionary(column, text)) }),
  'paste-fields': record({ row, column, table: few(few(text)) }),
  'add-rows': record({ rows: few(few(text)), behind: row }),
  'delete-rows': record({ rows }),
  'switch-rows': record({ rows, on: boolean() }),
  'sort-list': record({ column, down: boolean() }),
  'add-column': record({ name: text }),
  'rename-column': record({ column, name: text }),
  'delete-column': record({ column }),
  'bind-quantity': record({ column: maybe(column) }),
  'bind-color': record({ color, column: maybe(column) }),
  'bind-picture': record({ piece, element, column: maybe(column) }),
  'add-row-art': record({ art: few(someArt) }),
  'number-rows': record({ column, from: number, step: number, digits: number }),
  'want-rows': record({ piece, each: maybe(number) }),
  'return-one-offs': record({ copies }),
  'use-on-all': record({ copy }),
  'leave-out': record({ copies, out: boolean() }),
  'add-size': record({ piece }),
  'add-variant': record({ piece, name: text }),
  'follow-again': record({ piece, elements }),
  'stop-following': record({ piece }),
  'measure-size': record({ piece, thing }),
  'change-piece': record({ piece, changes: record({ name: text, bleed: number, ground: color }) }),
  'set-bleed': record({ pieces: few(piece), bleed: number }),
  'scale-pieces': record({ pieces: few(piece), scale: oneof(number, constantFrom(5, 0.05, 50)) }),
  'size-pieces': record({
    pieces: few(piece),
    by: constantFrom('height', 'width', 'longer', 'area', 'own') as fc.Arbitrary<SizedBy>,
    value: number,
  }),
  'share-edge': record({
    pieces: few(piece),
    changes: record({ offset: number, smooth: number, innerRadius: number }, { requiredKeys: [] }),
  }),
  'want-pieces': record(
    { pieces: few(piece), each: number, sum: number },
    { requiredKeys: ['pieces'] },
  ),
  'copy-piece': record({ piece, name: text }),
  'add-back': record({ piece }),
  'delete-piece': record({ piece }),
  'print-only': record({ copies: maybe(copies) }),
  'change-plan': record({
    changes: record({ gap: number, spares: number, cut: constantFrom('kiss', 'through') }),
  }) as fc.Arbitrary<CommandArgs<'change-plan'>>,
  'nest-sheets': record({ sheets: few(few(nested)) }),
  want: record({ piece, count: number }),
  'move-copies': record({ places: dictionary(copy, place) }),
  'return-copies': record({ copies }),
  'pin-copies': record({ copies, pinned: boolean() }),
  'free-copies': record({ sheet: number, copies }),
  'remove-copies': record({ copies }),
  'repeat-copies': record({
    copies,
    across: fc.integer({ min: -2, max: 40 }),
    down: fc.integer({ min: 0, max: 40 }),
    dx: number,
    dy: number,
  }),
  'change-sheet-stock': record({ sheet: number, stock: maybe(stock) }),
  'move-sheet': record({ from: number, to: number }),
  'make-sticker-sheet': record({ sheet: number }),
  'add-thing': record({ name: text, thing, elements: times(anyElement, 20), ground: color }),
  'join-job': record({ other: constantFrom('lid', 'tag').map(otherJob), first: text }),
  'remove-thing': record({ thing: setThing }),
  'split-set': record({ keep: setThing }),
  'share-sheets': record({ thing: setThing, on: maybe(setThing) }),
  'bring-guests': record({
    source: constantFrom('lid', 'tag').map(otherJob),
    picks: few(record({ piece, row: maybe(row), count: number })),
  }),
  'update-guests': record({ source: constantFrom('lid', 'tag').map(otherJob) }),
  'rename-thing': record({ thing: setThing, name: text }),
  'change-look': record({ changes: lookChanges }),
  'change-mark': record({ to: someArt }),
  'own-look': record({ thing: setThing, own: lookChanges.map(asOwn) }),
  'share-look': record({
    thing: setThing,
    role: maybe(constantFrom('ground', 'main', 'accent', 'title', 'text', 'name', 'gone')),
  }),
  'design-things': record({
    labels: few(record({ thing: setThing, ground: color, elements: times(anyElement, 6) })),
    design: text,
  }),
  'want-sets': record({ count: number }),
  'want-labels': record({ count: number }),
  'rename-job': record({ name: text }),
  'measure-thing': record({ thing }),
  'choose-stock': record({ stock, used: few(number) }),
  'choose-material': record({
    material: number.map((thickness) => ({ ...MATT_PAPER, thickness })),
  }),
};
export const NAMES = Object.keys(COMMANDS) as CommandName[];
/** A call of a command, mostly one that makes no sense. */
export const callOf = (name: CommandName): fc.Arbitrary<CommandCall> =>
  (ARGS[name] as fc.Arbitrary<unknown>).map((args) => ({ name, args }) as CommandCall);
