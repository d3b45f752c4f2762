import type { ElementTitle } from '../piece/index.ts';
import type { Coded, NoValues, ProblemCode, ProblemValues } from '../base/index.ts';
import type { CutKind } from '../shape/index.ts';
import type { ZoneName } from '../things/index.ts';

/** A row or copy as people know it: by what its first field says, or by its number from 1. */
export type RowLabel = string | { readonly row: number } | { readonly copy: string };

/** Why a code cannot be written. */
export type CodeProblem = Coded<Pick<ProblemValues, Extract<ProblemCode, `code/${string}`>>>;

/** Copies of one sheet: how many, the piece of the first, and the sheet from 1 where there are several. */
interface SheetCopies {
  readonly copies: number;
  readonly piece: string;
  readonly sheet?: number;
}

/** Some names of all that are meant. */
interface Names<N = string> {
  readonly names: readonly N[];
  readonly count: number;
}

/** Words as they are typed, shortened, and the name of their piece where there are several. */
interface WordsOn {
  readonly words: string;
  readonly piece?: string;
}

/**
 * What the proof can find, by code, with what a sentence about it names: lengths in mm rounded as they
 * are shown, sizes of letters in pt, and names of pieces, elements and files as people gave them. An
 * acceptance holds as long as these stay the same.
 */
export interface FindingValues {
  'across-fold': { title: ElementTitle; piece: string };
  'art-missing':
    { piece: string; missing: 'art' | 'typeface' | 'piece' } | { piece: string; damaged: string };
  'bleed-cut-off': SheetCopies & { number: string; by: number };
  'bleed-missing': { piece: string; bleed?: number };
  'bleeds-meet': { piece: string; least: number; bleed: number };
  'code-bent': { title: ElementTitle; short: number; most: number };
  'code-crowded': { title: ElementTitle; by?: ElementTitle };
  'code-pale': { title: ElementTitle };
  'code-too-small': { title: ElementTitle; module: number; least: number };
  'code-unread': Names<RowLabel> & { problem: CodeProblem };
  'color-unread': Names & { column: string };
  'column-missing': { columns: readonly string[]; piece: string; listed: boolean };
  'does-not-fit': {
    copies: number;
    piece: string;
    width: number;
    height: number;
    stock: string;
  };
  'doubled-cuts': SheetCopies;
  'force-out-of-range': {
    cut: CutKind;
    material: string;
    force: number;
    machine: string;
    least: number;
    most: number;
  };
  'gap-too-small': SheetCopies & { gap: number };
  hairline: { title: ElementTitle; width: number };
  'in-keep-clear': SheetCopies;
  'in-overlap': { title: ElementTitle; piece: string };
  'larger-than-machine': {
    sheet: number;
    width: number;
    height: number;
    machine: string;
    mostWidth: number;
    mostLength: number;
  };
  licence: { name: string; wants: 'private' | 'credit'; maker?: string };
  'loose-parts': { piece: string; parts: number };
  'low-contrast': WordsOn & { ratio: number; wanted: number };
  'low-resolution': { title: ElementTitle; dpi: number; least: number };
  'mark-too-small': { size: number; machine: string; least: number };
  'missing-glyph': { words: string; letters: readonly string[] };
  'nothing-wanted': NoValues;
  'on-the-ground': { title: ElementTitle; piece: string };
  'one-off-empty': { piece: string };
  'under-hole': { title: ElementTitle; piece: string };
  'outside-printable': SheetCopies & { beyond: 'margin' | 'sheet' };
  overlap: SheetCopies;
  'pale-without-white': Names & { piece: string; of: 'ground' | 'element'; material: string };
  'pattern-too-fine': { piece: string; title?: ElementTitle; asked: number; drawn: number };
  'picture-unfound': Names & { column: string };
  'placeholder-unread': { typed: string; meant?: string; piece: string };
  'quantity-unread': Names<RowLabel> & { typed: string; column: string };
  'scissors-gap': { gap: number; least: number };
  'scissors-shape': { piece: string };
  'spot-shape-differs': {
    piece: string;
    width: number;
    height: number;
    stock: string;
    labelWidth: number;
    labelHeight: number;
  };
  'sticker-outside': { stickers: number; piece: string; least: number };
  'stickers-touch': { stickers: number; piece: string; least: number };
  'thin-rim': { hole: number; piece: string; rim: number; least: number };
  'tight-curve': { piece: string; places: number; turn: number; within: number };
  'too-many-copies': { copies: number; most: number };
  'value-missing': Names<RowLabel> & { column: string };
  'words-do-not-fit': WordsOn & { size: number };
  'words-near-edge': WordsOn & { distance: number; safe: number };
  'words-run-into': WordsOn & { title: ElementTitle };
  'words-too-small': WordsOn & { size: number; least: number };
}
export type FindingCode = keyof FindingValues;

/** Safe changes that remove findings, by code; lengths in mm. */
export interface FixValues {
  'black-on-white': NoValues;
  'bleed-of': { bleed: number };
  'calm-ground': NoValues;
  'check-digit': NoValues;
  'free-places': { count: number };
  'gap-of': { gap: number };
  'inner-radius': { radius: number };
  'join-parts': NoValues;
  'leave-rows-out': { count: number };
  'line-width': { width: number };
  'marks-of': { size: number };
  'move-inwards': NoValues;
  'move-to-zone': { zone: ZoneName };
  'one-of-each': NoValues;
  'outline-letters': NoValues;
  'print-dark': NoValues;
  'print-light': NoValues;
  'put-back': { count: number };
  'put-plate-behind': NoValues;
  'return-to-piece': NoValues;
  'set-size': { size: number };
  'set-typeface': { family: string };
  'shrink-words': NoValues;
  'size-of-stock': NoValues;
  'smooth-edge': { by: number };
  'turn-code': NoValues;
  'width-of': { width: number };
  write: { text: string };
}

/** What was found, before it has words. */
export type FindingName = Coded<FindingValues>;

/** What a safe change is, before it has words. */
export type FixName = Coded<FixValues>;
