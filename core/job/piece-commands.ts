import type { Art } from '../art/index.ts';
import { freeId, type Problem } from '../base/index.ts';
import { PIECE_NAME_LETTERS, pieceSchema, pieceSize, type Piece } from '../piece/index.ts';
import { resizedShape } from '../shape/index.ts';
import { measuredSchema, trySize, type MeasuredThing } from '../things/index.ts';
import { followsProblem } from './insert-elements.ts';
import { backOf } from './backs.ts';
import { withArt, withPiece, withPieces, type Command, type Of } from './command.ts';
import { withEdge } from './edges.ts';
import { notFound, refused, invalidBySchema } from './command-problems.ts';
import type { Job } from './schema.ts';
import { sizesOf } from './variants.ts';

/** The job with one more piece, like another but for what is given, and as many of it wanted. */
function withPieceLike(job: Job, like: Piece, given: Partial<Piece>): Job {
  const id = freeId(
    'piece',
    job.pieces.map((one) => one.id),
  );
  const name = (given.name ?? like.name).slice(0, PIECE_NAME_LETTERS);
  const wanted = { ...job.plan.wanted, [id]: job.plan.wanted[like.id] ?? 0 };
  return {
    ...job,
    pieces: [...job.pieces, { ...like, ...given, name, id }],
    plan: { ...job.plan, wanted },
  };
}

/** What a piece that follows another can have of its own beside its elements. */
const OWN: readonly string[] = ['name', 'ground'];

/** Pieces as wholes: more of them, those that follow others, and what each of them is. */
export const PIECE_COMMANDS = {
  /** Another size of a piece, for a thing of its own; it begins with the job's. */
  'add-size': {
    run: (job, { piece }) => {
      const base = job.pieces.find(({ id }) => id === piece);
      if (!base || base.variant) return notFound('piece');
      if (job.thing.kind === 'label-sheet') return refused('size-of-stock');
      const name = `${base.name}, ${sizesOf(job, piece).length + 2}`;
      return withPieceLike(job, base, {
        name,
        variant: { base: piece, thing: job.thing, overrides: {} },
      });
    },
  } satisfies Command<Of>,

  /** A piece of the same design whose words and colours can be others; it follows in all else. */
  'add-variant': {
    run: (job, { piece, name }) => {
      const like = job.pieces.find(({ id }) => id === piece);
      if (!like) return notFound('piece');
      return withPieceLike(job, like, {
        name,
        variant: like.variant ?? { base: piece, overrides: {} },
      });
    },
  } satisfies Command<Of & { name: string }>,

  /** A follower as its base is again: some of its elements, or its colours and ground. */
  'follow-again': {
    run: (job, { piece, elements, colors = false }) =>
      withPiece(job, piece, (found) => {
        if (!found.variant) return found;
        const { colors: own, ground, ...rest } = found.variant;
        const kept = Object.entries(rest.overrides).filter(([id]) => !elements.includes(id));
        return {
          ...found,
          variant: {
            ...rest,
            ...(own && !colors ? { colors: own } : {}),
            ...(ground !== undefined && !colors ? { ground } : {}),
            overrides: Object.fromEntries(kept),
          },
        };
      }),
  } satisfies Command<Of & { elements: readonly string[]; colors?: boolean }>,

  /** A follower goes its own way; its measurements are then those of the job's thing. */
  'stop-following': {
    run: (job, { piece }) =>
      withPiece(job, piece, (found) => {
        const { variant, ...plain } = found;
        if (variant?.thing) return refused('own-size');
        return plain;
      }),
  } satisfies Command<Of>,

  /** New measurements of one size alone. */
  'measure-size': {
    run: (job, { piece, thing: given }) => {
      const read = measuredSchema.safeParse(given);
      if (!read.success) return invalidBySchema(read.error, given);
      const thing = read.data;
      const size = trySize(thing);
      if (!size.ok) return size.problem;
      return withPiece(job, piece, (found) =>
        found.variant ? { ...found, variant: { ...found.variant, thing } } : notFound('size'),
      );
    },
  } satisfies Command<Of & { thing: MeasuredThing }>,

  'change-piece': {
    run: (job, { piece, changes, art }) => {
      const changed = withPiece(job, piece, (found) => changedPiece(job, found, changes));
      return withArt(changed, art ? [art] : []);
    },
  } satisfies Command<Of & { changes: PieceChanges; art?: Art }>,

  'set-bleed': {
    run: (job, { pieces, bleed }) =>
      withPieces(job, pieces, (found, now) => changedPiece(now, found, { bleed })),
  } satisfies Command<{ pieces: readonly string[]; bleed: number }>,

  /** Pieces and their artwork so many times as large. */
  'scale-pieces': {
    run: (job, { pieces, scale }) => {
      if (!(scale >= 0.02 && scale <= 50)) return refused('scale-unfit');
      return withPieces(job, pieces, (found) => {
        if (found.variant) return followsProblem(job, found, 'size');
        const { width, height } = pieceSize(found);
        return withEdge(found, resizedShape(found.edge, width * scale, height * scale));
      });
    },
  } satisfies Command<{ pieces: readonly string[]; scale: number }>,

  'copy-piece': {
    run: (job, { piece, name }) => {
      const found = job.pieces.find(({ id }) => id === piece);
      if (!found) return notFound('piece');
      const { behind, ...alone } = found;
      void behind; // a front has one other side
      return withPieceLike(job, alone, { name });
    },
  } satisfies Command<Of & { name: string }>,

  /** An empty other side for a piece, on the same ground. */
  'add-back': {
    run: (job, { piece }) => {
      const front = job.pieces.find(({ id }) => id === piece);
      if (!front) return notFound('piece');
      if (front.behind || backOf(job, piece)) return refused('third-side');
      const { id, name, edge, bleed, safe, ground } = front;
      const back: Piece = {
        id: '',
        name: `${name}, other side`,
        edge,
        bleed,
        safe,
        ground,
        elements: [],
        behind: id,
      };
      return withPieceLike(job, back, {});
    },
  } satisfies Command<Of>,

  'delete-piece': {
    run: (job, { piece }) => {
      // What follows a piece goes with it.
      const left = job.pieces.filter(
        ({ id, variant, behind }) => id !== piece && variant?.base !== piece && behind !== piece,
      );
      if (!left.some(({ variant, behind, guest }) => !variant && !behind && !guest))
        return refused('only-piece');
      const wanted = Object.fromEntries(
        Object.entries(job.plan.wanted).filter(([id]) => left.some((one) => one.id === id)),
      );
      return { ...job, pieces: left, plan: { ...job.plan, wanted } };
    },
  } satisfies Command<Of>,
};

type PieceChanges = Partial<Omit<Piece, 'id' | 'elements'>>;

function changedPiece(job: Job, found: Piece, changes: PieceChanges): Piece | Problem {
  if (found.variant && !Object.keys(changes).every((key) => OWN.includes(key)))
    return followsProblem(job, found, 'other');
  const { build, ...plain } = found;
  const rest = build && changes.edge ? plain : found;
  const own =
    found.variant && changes.ground !== undefined
      ? { variant: { ...found.variant, ground: changes.ground } }
      : {};
  const made = { ...rest, ...changes, ...own, id: found.id };
  const read = pieceSchema.safeParse(made);
  return read.success ? read.data : invalidBySchema(read.error, made);
}
