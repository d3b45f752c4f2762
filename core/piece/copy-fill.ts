import { latestFor } from '../base/index.ts';
import type { PieceElement } from './elements/index.ts';
import { textsOf, withTexts } from './element-texts.ts';
import { fieldsOfRow, type List, type ListRow } from './list.ts';
import type { Piece } from './piece.ts';
import { countsUp, fieldsOf, filledText, hasPlaceholders } from './placeholders.ts';

/** Which copy of a piece it is, from 1, and the row of the list that fills it. */
export interface CopyInList {
  readonly number: number;
  readonly row?: ListRow | undefined;
}

/** The copy that a piece is shown as where no other is asked for. */
export const FIRST_COPY: CopyInList = { number: 1 };

/** What copies are filled from: the job's date and its list. */
export interface FilledFrom {
  readonly today?: string;
  readonly list?: List;
}

/** By what copies of a piece are others. */
export interface Differences {
  readonly counts: boolean;
  readonly fields: boolean;
}

/** By what copies of a piece are others: something in them counts up, or is filled from a list. */
export const differences = (piece: Piece, { list }: FilledFrom): Differences =>
  differencesIn(piece, list?.columns);

const differencesIn = latestFor(
  ({ elements }: Piece, columns: readonly string[] | undefined): Differences => {
    const isFilled = (text: string): boolean =>
      columns !== undefined && fieldsOf(text).some((name) => columns.includes(name));
    const texts = elements.flatMap(textsOf);
    return { counts: texts.some(countsUp), fields: texts.some(isFilled) };
  },
);

/** What tells a copy from others of its piece; nothing where all are alike. */
export function variantKeyOf({ number, row }: CopyInList, { counts, fields }: Differences): string {
  return [counts ? `${number}` : '', fields ? (row?.key ?? 'none') : ''].filter(Boolean).join('-');
}

/** An element as it is on a copy, and what tells it from others; undefined when it is always as it was typed. */
export function filledFor(
  element: PieceElement,
  source: FilledFrom,
  { number, row: at }: CopyInList,
): { element: PieceElement; key: string } | undefined {
  if (!textsOf(element).some(hasPlaceholders)) return undefined;
  const row = source.list && at && fieldsOfRow(source.list, at);
  const facts = { today: source.today ?? '2000-01-01', number, ...(row ? { row } : {}) };
  const filled = withTexts(element, (text) => filledText(text, facts));
  return { element: filled, key: textsOf(filled).join('\n') };
}
