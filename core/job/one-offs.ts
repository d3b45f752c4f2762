import * as z from 'zod';
import { freeId, isProblem, isSame } from '../base/index.ts';
import { elementSchema, fillSchema, type Piece, type PieceElement } from '../piece/index.ts';
import { changedElement } from './changed-element.ts';

/** What one copy has of its own beside its piece. All else follows the piece. */
export const oneOffSchema = z.object({
  /** Its place stays empty. */
  out: z.literal(true).optional(),
  ground: fillSchema.nullable().optional(),
  /** Fields of elements by the ids of these; fields that are left out on it are named. */
  elements: z
    .record(
      z.string(),
      z.object({
        changes: z.record(z.string(), z.unknown()),
        cleared: z.array(z.string()).max(40).optional(),
      }),
    )
    .optional(),
  /** Elements of the piece that are not on it. */
  without: z.array(z.string()).max(500).optional(),
  /** Elements that are on it alone, above the others. */
  added: z.array(elementSchema).max(100).optional(),
});
export type OneOff = z.infer<typeof oneOffSchema>;

/** Whether nothing of a copy is its own. */
const isPlainCopy = (oneOff: OneOff): boolean => Object.keys(oneOff).length === 0;

/** Whether a copy prints other artwork than its piece. */
export const hasOwnArtwork = ({ out, ...own }: OneOff): boolean => {
  void out;
  return Object.keys(own).length > 0;
};

const made = new WeakMap<OneOff, WeakMap<Piece, Piece>>();

/** A piece as one copy has it; the same value for the same piece and one-off. */
export function withOneOff(piece: Piece, oneOff: OneOff): Piece {
  if (!hasOwnArtwork(oneOff)) return piece;
  const all = made.get(oneOff) ?? new WeakMap<Piece, Piece>();
  made.set(oneOff, all);
  const known = all.get(piece);
  if (known) return known;
  const { ground, elements = {}, without = [], added = [] } = oneOff;
  const kept = piece.elements.filter(({ id }) => !without.includes(id));
  const changed = kept.map((element): PieceElement => {
    const own = elements[element.id];
    if (!own) return element;
    const cleared = Object.fromEntries((own.cleared ?? []).map((name) => [name, undefined]));
    const next = changedElement(element, { ...own.changes, ...cleared });
    // What the piece has become may not go together with it any more.
    return isProblem(next) ? element : next;
  });
  const ids = changed.map(({ id }) => id);
  // The piece may have got one of that name since.
  const more = added.map((one) => (ids.includes(one.id) ? { ...one, id: `${one.id}-own` } : one));
  const result: Piece = {
    ...piece,
    ...(ground === undefined ? {} : { ground }),
    elements: [...changed, ...more],
  };
  all.set(piece, result);
  return result;
}

/** What makes one piece of another, as far as a single copy can have it of its own. */
export function oneOffBetween(piece: Piece, copy: Piece): OneOff {
  const elements: NonNullable<OneOff['elements']> = {};
  const added: PieceElement[] = [];
  for (const element of copy.elements) {
    const before = piece.elements.find(({ id }) => id === element.id);
    if (!before) added.push(element);
    else if (before !== element) {
      const own = fieldsBetween(before, element);
      if (own) elements[element.id] = own;
    }
  }
  const kept = new Set(copy.elements.map(({ id }) => id));
  const without = piece.elements.map(({ id }) => id).filter((id) => !kept.has(id));
  return {
    ...(isSame(piece.ground, copy.ground) ? {} : { ground: copy.ground }),
    ...(Object.keys(elements).length ? { elements } : {}),
    ...(without.length ? { without } : {}),
    ...(added.length ? { added } : {}),
  };
}

function fieldsBetween(
  before: PieceElement,
  after: PieceElement,
): NonNullable<OneOff['elements']>[string] | undefined {
  const [old, now] = [before, after] as unknown as Record<string, unknown>[];
  if (!old || !now) return undefined;
  const changed = Object.entries(now).filter(([name, value]) => !isSame(old[name], value));
  const cleared = Object.keys(old).filter((name) => !(name in now));
  if (changed.length + cleared.length === 0) return undefined;
  return { changes: Object.fromEntries(changed), ...(cleared.length ? { cleared } : {}) };
}

/** A piece with what one copy has of its own, for all copies; what is added gets free ids. */
export function adopted(piece: Piece, oneOff: OneOff): Piece {
  const ids = piece.elements.map(({ id }) => id);
  const added = oneOff.added?.map((element) => {
    const id = ids.includes(element.id) ? freeId(element.kind, ids) : element.id;
    ids.push(id);
    return { ...element, id };
  });
  return withOneOff(piece, added ? { ...oneOff, added } : oneOff);
}

/** Something with what single copies have of their own; a copy that has nothing is not named. */
export function withOneOffs<
  J extends { readonly oneOffs?: Readonly<Record<string, OneOff>> | undefined },
>(job: J, oneOffs: Readonly<Record<string, OneOff>>): J {
  const { oneOffs: before, ...rest } = job;
  const kept = Object.fromEntries(Object.entries(oneOffs).filter(([, own]) => !isPlainCopy(own)));
  if (isSame(before ?? {}, kept)) return job;
  return (Object.keys(kept).length ? { ...rest, oneOffs: kept } : rest) as J;
}
