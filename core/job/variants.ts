import { isProblem, type Problem } from '../base/index.ts';
import { elementSchema, type Piece, type PieceElement } from '../piece/index.ts';
import { edgeFor } from './create.ts';
import { withEdge } from './edges.ts';
import { refused } from './refusals.ts';
import type { Job } from './schema.ts';

/** The changes of one element; its id and kind stay. */
export type ElementChanges = Partial<Record<string, unknown>>;

/** An element with changes, or why it cannot have them; what is changed to undefined is left out. */
export function changedElement(
  element: PieceElement,
  changes: ElementChanges,
): PieceElement | Problem {
  const { id, kind } = element;
  const whole = { ...element, ...changes, id, kind };
  const given = Object.entries(whole).filter(([, value]) => value !== undefined);
  const read = elementSchema.safeParse(Object.fromEntries(given));
  if (read.success) return read.data;
  const [issue] = read.error.issues;
  return refused(`“${issue?.path.join(' ') ?? 'the value'}”`, issue?.message.toLowerCase());
}

/** The sizes of a piece that follow it. */
export const sizesOf = (job: Job, base: string): Piece[] =>
  job.pieces.filter(({ variant }) => variant?.base === base);

type Variant = NonNullable<Piece['variant']>;

const followed = new WeakMap<Variant, { from: readonly unknown[]; piece: Piece }>();

/** A size of a piece as it follows from its base; the same value while nothing that it follows changes. */
function following(piece: Piece, variant: Variant, base: Piece, stock: Job['stock']): Piece {
  const from = [base, stock, piece.name];
  const known = followed.get(variant);
  if (known?.from.every((one, at) => one === from[at])) return known.piece;
  const fitted = withEdge(base, edgeFor(variant.thing, stock));
  const elements = fitted.elements.map((element) => {
    const own = variant.overrides[element.id];
    const made = own ? changedElement(element, own) : element;
    return isProblem(made) ? element : made;
  });
  const made: Piece = { ...fitted, id: piece.id, name: piece.name, elements, variant };
  followed.set(variant, { from, piece: made });
  return made;
}

/**
 * The job with every size of a piece made anew from its base: fitted to its own edge, with what was
 * changed on it alone.
 */
export function followBase(job: Job): Job {
  const pieces = job.pieces.map((piece): Piece => {
    const { variant } = piece;
    const base = variant && job.pieces.find(({ id }) => id === variant.base);
    return base ? following(piece, variant, base, job.stock) : piece;
  });
  return pieces.every((piece, at) => piece === job.pieces[at]) ? job : { ...job, pieces };
}
