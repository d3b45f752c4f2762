import { shortened } from '../../core/base/index.ts';
import { titleText } from './element-titles.ts';
import {
  thingsOf,
  type CommandArgs,
  type CommandCall,
  type CommandName,
  type Job,
} from '../../core/job/index.ts';
import { elementTitle } from '../../core/piece/index.ts';
import { plural } from './counts.ts';
import { quoted } from './phrases.ts';

type Said = { readonly [N in CommandName]: (args: CommandArgs<N>, job: Job) => string };

const rowsOf = (count: number): string => (count === 1 ? 'a row' : `${count} rows`);
const piecesOf = (count: number): string => (count === 1 ? 'the piece' : `${count} pieces`);

function titleOf(job: Job, pieceId: string, ids: readonly string[]): string {
  const piece = job.pieces.find(({ id }) => id === pieceId);
  const found = piece?.elements.filter(({ id }) => ids.includes(id)) ?? [];
  const [first] = found;
  if (!first || found.length > 1) return `${ids.length} elements`;
  const title = titleText(elementTitle(first, (id) => job.art[id]));
  return quoted(shortened(title, 28));
}

const COMBINING = {
  join: 'join',
  cut: 'cut away from',
  common: 'keep the common part of',
  either: 'cut the common part out of',
} as const;

/** What the proof's safe changes do; all else comes with its words from where it is asked for. */
const DOING: Readonly<Record<string, string>> = {
  'move-stickers': 'move stickers',
  'join-parts': 'join the parts',
};
const doingOf = (doing: string | undefined): string | undefined =>
  doing === undefined ? undefined : (DOING[doing] ?? doing);

/** Fields of pieces and plans whose names are no words. */
const FIELDS: Readonly<Record<string, string>> = {
  copiesPerRow: 'copies of each row',
  handPlaces: 'places',
  innerCorners: 'inner corners',
  printOnly: 'what is printed',
  turnOver: 'the turn of the sheet',
  usedLabels: 'used labels',
};
const fieldsOf = (changes: object): string =>
  Object.keys(changes)
    .map((field) => FIELDS[field] ?? field)
    .join(' and ');

const LOOKS = { colors: 'colours', faces: 'typefaces', says: 'words' } as const;
const lookOf = (changes: CommandArgs<'change-look'>['changes']): string =>
  (['colors', 'faces', 'says'] as const)
    .filter((part) => changes[part])
    .map((part) => LOOKS[part])
    .join(' and ');
const thingTitle = (job: Job, id: string): string =>
  quoted(thingsOf(job).find((one) => one.id === id)?.name ?? job.name);

const COMMANDS: Said = {
  'accept-finding': () => 'accept a finding',
  'add-back': () => 'add the other side',
  'add-column': ({ name }) => `add the column ${name}`,
  'add-element': ({ element }) => `add ${element.kind}`,
  'add-elements': ({ elements, doing }) => doing ?? `add ${elements.length} elements`,
  'add-pieces': ({ pieces, doing }) => doing ?? `add ${plural(pieces.length, 'piece')}`,
  'add-row-art': ({ art }) => `add ${art.length === 1 ? 'a picture' : `${art.length} pictures`}`,
  'add-rows': ({ rows }) => `add ${rowsOf(rows.length)}`,
  'add-size': () => 'add a size',
  'add-thing': ({ name }) => `add the thing ${quoted(name)}`,
  'add-variant': () => 'add a variant',
  'bind-color': ({ column }) =>
    column ? `take a colour from ${column}` : 'take a colour from no column',
  'bind-picture': ({ column }) =>
    column ? `take a picture from ${column}` : 'take a picture from no column',
  'bind-quantity': ({ column }) => (column ? `count copies by ${column}` : 'count one copy a row'),
  'bring-guests': ({ source }) => `bring labels of ${quoted(source.name)}`,
  'build-edge': ({ doing }) => doingOf(doing) ?? 'change the edge',
  'change-elements': ({ piece, changes, doing }, job) =>
    `${doingOf(doing) ?? 'change'} ${titleOf(job, piece, Object.keys(changes))}`,
  'change-fields': ({ fields }) => `change ${rowsOf(Object.keys(fields).length)} of the list`,
  'change-look': ({ changes }) => `change ${lookOf(changes)} of the set`,
  'change-mark': () => 'change the mark of the set',
  'change-piece': ({ changes }) => `change ${fieldsOf(changes) || 'piece'}`,
  'change-plan': ({ changes }) => `change ${fieldsOf(changes)}`,
  'change-sheet-stock': ({ sheet, stock }) =>
    stock ? `lay sheet ${sheet + 1} on ${stock.name}` : `lay sheet ${sheet + 1} on the usual stock`,
  'choose-material': ({ material }) => `choose ${material.name.toLowerCase()}`,
  'choose-stock': ({ stock }) => `choose ${stock.name}`,
  'combine-elements': ({ elements, how }) => `${COMBINING[how]} ${elements.length} shapes`,
  'cover-label': ({ piece, element }, job) =>
    `cover the label with ${titleOf(job, piece, [element])}`,
  'copy-piece': () => 'add a variety',
  'emphasize-words': () => 'choose the words that are set stronger',
  'name-fields': () => 'name fields in another language',
  'delete-column': ({ column }) => `delete the column ${column}`,
  'delete-elements': ({ piece, elements }, job) => `delete ${titleOf(job, piece, elements)}`,
  'delete-piece': () => 'delete variety',
  'delete-rows': ({ rows }) => `delete ${rowsOf(rows.length)}`,
  'design-things': ({ from }) => `start all labels from “${from ?? ''}”`,
  'duplicate-elements': ({ piece, elements }, job) => `duplicate ${titleOf(job, piece, elements)}`,
  'follow-again': () => 'follow the base again',
  'free-copies': () => 'move copies to free places',
  'join-job': ({ other }) => `join ${quoted(other.name)} to the set`,
  'leave-out': ({ copies, out }) =>
    `${out ? 'leave out' : 'print'} ${copies.length === 1 ? 'a copy' : `${copies.length} copies`}`,
  'make-sticker-sheet': () => 'make a sticker sheet',
  'measure-size': () => 'measure a size again',
  'measure-thing': () => 'measure again',
  'move-copies': ({ places }) => (Object.keys(places).length === 1 ? 'move a copy' : 'move copies'),
  'move-sheet': ({ from, to }) => `move sheet ${from + 1} to ${to + 1}`,
  'nest-sheets': ({ sheets }) => `nest ${sheets.flat().length} copies`,
  'number-rows': ({ column, draw }) =>
    `${draw === undefined ? 'number' : 'draw numbers in'} ${column}`,
  'own-look': () => 'let one label have its own',
  'paste-fields': ({ table }) => `paste ${rowsOf(table.length)}`,
  'pin-copies': ({ pinned }) => (pinned ? 'pin copies' : 'unpin copies'),
  'print-only': ({ copies }) =>
    copies === undefined ? 'print all again' : `print ${copies.length} only`,
  'remove-copies': ({ copies }) => (copies.length === 1 ? 'take a copy away' : 'take copies away'),
  'remove-thing': ({ thing }, job) => `take away ${thingTitle(job, thing)}`,
  recolor: ({ colors, doing }) =>
    doing ??
    Object.entries(colors)
      .map(([from, to]) => `change ${from} to ${to}`)
      .join(', '),
  want: ({ count }) => `want ${count}`,
  'rename-column': ({ column, name }) => `rename ${column} to ${name}`,
  'rename-job': () => 'rename job',
  'rename-thing': ({ name }) => `call the thing ${quoted(name)}`,
  'reopen-finding': () => 'look at a finding again',
  'reorder-element': ({ piece, element }, job) => `reorder ${titleOf(job, piece, [element])}`,
  'repeat-copies': () => 'repeat copies',
  'replace-art': ({ doing, to }) => `${doing ?? 'replace'} “${to.name}”`,
  'replace-words': ({ find, by }) => `replace “${find}” by “${by}”`,
  'return-copies': () => 'put copies back',
  'return-one-offs': ({ copies }) =>
    copies.length === 1 ? 'go back to the piece' : 'go back to the pieces',
  'scale-pieces': ({ scale }) => `scale to ${Math.round(scale * 1000) / 10} %`,
  'set-artwork': ({ from }) => (from === undefined ? 'start again' : `start from “${from}”`),
  'set-bleed': ({ bleed }) => `bleed of ${bleed} mm`,
  'set-list': ({ list }) => (list ? `take a list of ${list.rows.length}` : 'take the list away'),
  'share-sheets': ({ thing, on }, job) =>
    on === undefined
      ? `give ${thingTitle(job, thing)} sheets of its own`
      : `lay ${thingTitle(job, thing)} on the sheets of ${thingTitle(job, on)}`,
  'share-look': ({ role }) =>
    role === undefined ? 'take the look of the set' : 'share it with the set again',
  'share-edge': ({ pieces }) => `change the edge of ${piecesOf(pieces.length)}`,
  'size-edge': () => 'size the piece',
  'size-pieces': ({ pieces }) => `size ${piecesOf(pieces.length)}`,
  'split-set': () => 'take the set apart',
  'sort-list': ({ column, down }) => `sort by ${column}${down ? ', from the end' : ''}`,
  'stop-following': () => 'let it go its own way',
  'switch-rows': ({ rows, on }) => `${on ? 'print' : 'leave out'} ${rowsOf(rows.length)}`,
  'take-apart': () => 'take a shape apart',
  'update-guests': ({ source }) => `update the labels of ${quoted(source.name)}`,
  'use-on-all': () => 'use on all copies',
  'want-labels': ({ count }) => `want ${count} of every label`,
  'want-pieces': ({ each, sum }) =>
    each === undefined ? `want ${sum} in all` : `want ${each} of each`,
  'want-sets': ({ count }) => `want ${count} of the set`,
  'want-rows': ({ each }) =>
    each === undefined ? 'count copies' : `want ${each === 1 ? 'one' : each} a row`,
};

/** What a change does, as it reads behind “Undo”; the job is the one before it. */
export const commandText = ({ name, args }: CommandCall, job: Job): string =>
  (COMMANDS[name] as (args: unknown, job: Job) => string)(args, job);

/** The same of a change that one copy alone takes. */
export const onOneCopyText = (text: string): string => `${text} on one copy`;
