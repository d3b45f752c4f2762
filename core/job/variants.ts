import { isProblem, latestFor } from '../base/index.ts';
import { recoloredPiece, type Piece } from '../piece/index.ts';
import { changedElement } from './changed-element.ts';
import { edgeFor } from './create.ts';
import { withEdge } from './edges.ts';
import { mapPieces } from './map-pieces.ts';
import type { Job } from './schema.ts';

/** The pieces that follow a piece and are of another size than it. */
export const sizesOf = (job: Job, base: string): Piece[] =>
  job.pieces.filter(({ variant }) => variant?.base === base && variant.thing);

type Variant = NonNullable<Piece['variant']>;

/** A piece as it follows from its base; the same value while nothing that it follows changes. */
const following = (piece: Piece, variant: Variant, base: Piece, stock: Job['stock']): Piece =>
  followed(variant, base, stock, piece.id, piece.name);

const followed = latestFor(
  (variant: Variant, ...[base, stock, id, name]: [Piece, Job['stock'], string, string]): Piece => {
    const { thing, colors, ground } = variant;
    const fitted = thing ? withEdge(base, edgeFor(thing, stock)) : base;
    const colored = colors ? recoloredPiece(fitted, swapOf(colors)) : fitted;
    const elements = colored.elements.map((element) => {
      const own = variant.overrides[element.id];
      const made = own ? changedElement(element, own) : element;
      return isProblem(made) ? element : made;
    });
    const made: Piece = {
      ...colored,
      ...(ground === undefined ? {} : { ground }),
      id,
      name,
      elements,
      variant,
    };
    return made;
  },
);

/** Colours by their small letters, replaced by others. */
export const swapOf =
  (colors: Readonly<Record<string, string>>) =>
  (one: string): string =>
    colors[one.toLowerCase()] ?? one;

/**
 * A piece with some of its colours replaced, where it or its base is meant. One that follows another
 * keeps its own colours beside its base; they stay its own when only the base is recoloured.
 */
export function recoloredIn(
  piece: Piece,
  colors: Readonly<Record<string, string>>,
  isMeant: (id: string) => boolean,
): Piece {
  const swap = swapOf(colors);
  const { variant } = piece;
  if (!variant) return isMeant(piece.id) ? recoloredPiece(piece, swap) : piece;
  const [own, base] = [isMeant(piece.id), isMeant(variant.base)];
  if (!own && !(base && variant.colors)) return piece;
  const kept = Object.entries(variant.colors ?? {}).map(([from, to]) => [
    base ? swap(from).toLowerCase() : from,
    own ? swap(to) : to,
  ]);
  const recolored: Variant = {
    ...variant,
    colors: { ...(base ? {} : colors), ...Object.fromEntries(kept) },
  };
  if (!own) return { ...piece, variant: recolored };
  const made = recoloredPiece(piece, swap);
  const overrides = Object.entries(variant.overrides).map(([id, changed]) => {
    const now = made.elements.find((one) => one.id === id) as Record<string, unknown> | undefined;
    return [
      id,
      now ? Object.fromEntries(Object.keys(changed).map((key) => [key, now[key]])) : changed,
    ] as const;
  });
  return {
    ...made,
    variant: {
      ...recolored,
      overrides: Object.fromEntries(overrides),
      ...(variant.ground === undefined ? {} : { ground: made.ground }),
    },
  };
}

/**
 * The job with every piece that follows another made anew from it: fitted to its own edge, in its own
 * colours, with what was changed on it alone.
 */
export function followBase(job: Job): Job {
  return mapPieces(job, (piece) => {
    const { variant } = piece;
    const base = variant && job.pieces.find(({ id }) => id === variant.base);
    return base ? following(piece, variant, base, job.stock) : piece;
  });
}
