import type { Words } from '../words.ts';
import type { RefusedChanges } from '../../core/base/index.ts';
import { count } from './counts.ts';
import { issueText } from './value-issues.ts';

/** Why a change of a job cannot be made, as a sentence without its full stop. */
export const REFUSED_CHANGES: Words<RefusedChanges> = {
  'art-damaged': () => 'The description of this art is damaged',
  'colour-unread': ({ typed }) => `“${typed}” is no colour: one is written like #5d2a53`,
  'copies-by-list': () => 'The list of this piece says how many copies there are',
  'copies-of-row': ({ count: copies }) => `${copies} copies of a row: from 1 to 500 can be wanted`,
  'copies-wanted': ({ count: copies }) =>
    `${copies} copies: from 0 to 5,000 of a piece can be wanted`,
  'find-empty': () => 'There is nothing to find: type what shall be replaced',
  'find-nowhere': ({ find }) => `“${find}” stands in no words of this job`,
  'ground-unfit': () => 'This cannot fill a label',
  'guest-changed': () =>
    'This label is a guest on these sheets: change it where it belongs, and it changes here',
  'guest-of-itself': () => 'A job cannot be a guest of its own: want more of its labels',
  'guests-on-sheets': () =>
    'Labels of another job lie on its sheets: take them off first, then lay it on these',
  'itself-or-too-much': ({ most }) =>
    `A piece cannot hold itself, or more than ${count(most)} letters and shapes`,
  'last-thing': () => 'A job keeps at least one thing',
  'list-issue': ({ row, issue }) =>
    `${row === undefined ? 'This list' : `Row ${row}`} is not accepted: ${issueText(issue)}`,
  'list-too-long': ({ rows, most }) => `That makes ${rows} rows: a list has at most ${most}`,
  'long-field': ({ letters }) => `This field has ${letters} letters: 2,000 are the most`,
  'mixed-stock': () => 'Only plain sheets can be mixed in one job',
  'name-empty': () => 'A job is found by its name: it needs one',
  'no-column': ({ column }) => `The list has no column “${column}”`,
  'no-list': () => 'This job has no list',
  'no-set': () => 'This job has one thing only: add another first',
  'not-combinable': () => 'Only words, plates and drawn lines can be made one shape',
  'numbers-unfit': () => 'Numbers of rows are whole, with from 1 to 12 digits',
  'one-part': () => 'One shape is made of two elements or more',
  'only-column': () => 'A list keeps at least one column',
  'only-piece': () => 'A job keeps at least one piece',
  'other-sheets': () =>
    'Only things on the same stock and material share sheets: choose the same for both first',
  'own-size': () => 'Only a piece as large as its base can stand alone',
  'print-none': () => 'Choose at least one copy to print',
  'rows-without-list': () => 'Copies of each row need a list, and this job has none',
  'scale-unfit': () => 'This size is too small or too large',
  'set-full': ({ most }) => `A set has at most ${most} things`,
  'sheets-with-labels': () =>
    'These sheets have labels of one size: things share plain sheets only',
  'size-of-stock': () => 'The bought sheet decides the size of its labels',
  'size-unfit': ({ from, to }) => `A piece is between ${from} mm and ${to / 1000} m wide`,
  'third-side': () => 'A label has a front and one other side',
  'too-many-elements': ({ count: elements, most }) =>
    `That makes ${elements} elements: a piece has at most ${most}`,
  'too-many-pieces': ({ count: pieces, most }) =>
    `That makes ${pieces} pieces: a job has from 1 to ${most}`,
  'two-lists': () =>
    'Both jobs have a list, and a set has one: take the list of one of them away first',
};
