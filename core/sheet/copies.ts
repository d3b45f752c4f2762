import { onceFor, onceForEach } from '../base/index.ts';
import { findQuantity, rowsOn, type List, type ListRow, type Piece } from '../piece/index.ts';
import { copyId, copyParts, type CopyId, type Plan } from './plan.ts';

/** What says which copies a job makes. */
export interface CopiesSource {
  readonly pieces: readonly Pick<Piece, 'id'>[];
  readonly plan: Pick<Plan, 'wanted' | 'spares' | 'copiesPerRow' | 'printOnly'>;
  readonly list?: List | undefined;
}

/** One copy that is made. */
export interface JobCopy {
  readonly copy: CopyId;
  /** Which of its piece it is, from 1. */
  readonly number: number;
  /** The row of the list that fills it. */
  readonly row: ListRow | undefined;
}

/** The most copies of a piece that a job makes. */
export const MOST_COPIES = 5000;

/** Whether the rows of the list say how many copies of a piece are made. */
export const isByRow = ({ plan, list }: CopiesSource, piece: string): boolean =>
  list !== undefined && plan.copiesPerRow?.[piece] !== undefined;

/** What rows give: the parts of their copies' names, in order. */
interface RowCopies {
  readonly names: readonly string[];
  readonly rows: readonly ListRow[];
  /** Where a name stands among them. */
  readonly at: ReadonlyMap<string, number>;
}

const rowCopies = onceForEach((list: List, each: number): RowCopies => {
  const [names, rows]: [string[], ListRow[]] = [[], []];
  for (const row of rowsOn(list)) {
    const count = (findQuantity(list, row) ?? 0) * each;
    for (let at = 1; at <= count && names.length < MOST_COPIES; at++) {
      names.push(at === 1 ? row.key : `${row.key}.${at}`);
      rows.push(row);
    }
  }
  return { names, rows, at: new Map(names.map((name, at) => [name, at])) };
});

/** What rows give of a piece; undefined where its copies are counted. */
function rowCopiesOf(
  { plan, list }: Omit<CopiesSource, 'pieces'>,
  piece: string,
): RowCopies | undefined {
  const each = plan.copiesPerRow?.[piece];
  return list && each !== undefined ? rowCopies(list, each) : undefined;
}

/** How many copies of a piece are made: what the rows give, or those that are wanted, and spares. */
export function copyCount(job: Omit<CopiesSource, 'pieces'>, piece: string): number {
  const { plan } = job;
  const byRow = rowCopiesOf(job, piece);
  if (byRow) return byRow.names.length;
  const count = plan.wanted[piece] ?? 0;
  return count + Math.ceil((count * (plan.spares ?? 0)) / 100 - 1e-9);
}

/** The names of the copies of a piece that are made, in their order. */
export function copyIds(job: Omit<CopiesSource, 'pieces'>, piece: string): CopyId[] {
  const byRow = rowCopiesOf(job, piece);
  if (byRow) return byRow.names.map((name) => copyId(piece, name));
  const count = copyCount(job, piece);
  return Array.from({ length: count }, (_, at) => copyId(piece, at + 1));
}

const chosen = onceFor((names: readonly string[]): ReadonlySet<string> => new Set(names));

/** Whether a copy is among those that are printed this time. */
export function isPrinted(
  { plan: { printOnly } }: Pick<CopiesSource, 'plan'>,
  copy: CopyId,
): boolean {
  return !printOnly || chosen(printOnly).has(copy);
}

/** The names of the copies of a piece that are printed this time, in their order. */
export function printedCopyIds(job: Omit<CopiesSource, 'pieces'>, piece: string): CopyId[] {
  const names = copyIds(job, piece);
  return job.plan.printOnly ? names.filter((copy) => isPrinted(job, copy)) : names;
}

const rowsInTurn = onceFor(rowsOn);

/** The row that the n-th copy takes where copies are counted: after the last row the first comes again. */
export function rowInTurn(list: List | undefined, number: number): ListRow | undefined {
  if (!list) return undefined;
  const rows = rowsInTurn(list);
  return rows[(number - 1) % Math.max(1, rows.length)];
}

/** A copy by its name; undefined where the job makes none of that name. */
export function findCopy(job: CopiesSource, copy: CopyId): JobCopy | undefined {
  const { piece, which } = copyParts(copy);
  if (!job.pieces.some(({ id }) => id === piece)) return undefined;
  const byRow = rowCopiesOf(job, piece);
  if (byRow) {
    const place = byRow.at.get(which);
    return place === undefined ? undefined : { copy, number: place + 1, row: byRow.rows[place] };
  }
  const number = Number(which);
  const isMade = Number.isInteger(number) && number >= 1 && number <= copyCount(job, piece);
  return isMade ? { copy, number, row: rowInTurn(job.list, number) } : undefined;
}

/** What of a list says which copies there are: alike for lists that give the same ones. */
export function copiesKey(list: List | undefined): string {
  if (!list) return '';
  const { names } = rowCopies(list, 1);
  return names.join();
}
