import { freeId, isProblem } from '../base/index.ts';
import { artSchema, type Art } from '../art/index.ts';
import { pieceSchema, type Piece } from '../piece/index.ts';
import { edgeBuildSchema, plainBuild, type EdgeBuild } from '../shape/index.ts';
import { copyId, withoutNested, type HandPlace } from '../sheet/index.ts';
import { withArtReplaced } from './art-use.ts';
import { withPiece, type Command, type Of } from './command.ts';
import { withBuild, withBuiltSize } from './edges.ts';
import { refused, invalidBySchema } from './command-problems.ts';
import { MOST_PIECES, type Job } from './schema.ts';

/** The changes that go from art to edges and pieces. */
export const ART_COMMANDS = {
  /** An edge made from shapes; what stands in the piece stays over them. */
  'build-edge': {
    run: (job, { piece, also = [], build }) => {
      const read = edgeBuildSchema.safeParse(build);
      if (!read.success) return invalidBySchema(read.error, build);
      let now: Job = job;
      for (const id of [piece, ...also]) {
        const made = withPiece(now, id, (found) => withBuild(found, read.data));
        if (isProblem(made)) return made;
        now = made;
      }
      return now;
    },
  } satisfies Command<
    Of & {
      build: EdgeBuild;
      /** Pieces with the same edge, which shall have the same one again. */
      also?: readonly string[];
      doing?: string;
    }
  >,

  /** A built edge at another size: it and its artwork are scaled, what is in mm about it stays. */
  'size-edge': {
    run: (job, { piece, width = Infinity, height = Infinity }) =>
      withPiece(job, piece, (found) => {
        if (!(Math.min(width, height) >= 2 && Math.min(width, height) <= 1000))
          return refused('size-unfit', { from: 2, to: 1000 });
        const build = found.build ?? plainBuild(found.edge, 'Edge');
        return withBuiltSize(found, build, { width, height });
      }),
  } satisfies Command<Of & { width?: number; height?: number }>,

  /** Other art wherever a job has one: it was made anew, or found again in a better file. */
  'replace-art': {
    run: (job, { from, to, also = [] }) =>
      [to, ...also].every((art) => artSchema.safeParse(art).success)
        ? withArtReplaced(job, from, to, also)
        : refused('art-damaged'),
  } satisfies Command<{ from: string; to: Art; also?: readonly Art[]; doing?: string }>,

  /** Pieces that were made elsewhere, with their art and as many as are wanted of each. */
  'add-pieces': {
    run: (job, { pieces, art, wanted, instead, places = [], nest = false }) => {
      const kept =
        instead === undefined ? job.pieces : job.pieces.filter(({ id }) => id !== instead);
      const ids = kept.map(({ id }) => id);
      const added: Piece[] = [];
      for (const piece of pieces) {
        const read = pieceSchema.safeParse({ ...piece, id: freeId('piece', ids) });
        if (!read.success) return invalidBySchema(read.error, piece);
        ids.push(read.data.id);
        added.push(read.data);
      }
      const all = [...kept, ...added];
      if (all.length === 0 || all.length > MOST_PIECES)
        return refused('too-many-pieces', { count: all.length, most: MOST_PIECES });
      const counts = Object.fromEntries(added.map(({ id }) => [id, wanted]));
      const moved = Object.fromEntries(
        added.flatMap(({ id }, at) => {
          const place = places[at];
          return place ? [[copyId(id, 1), place] as const] : [];
        }),
      );
      return {
        ...job,
        pieces: all,
        art: { ...job.art, ...Object.fromEntries(art.map((one) => [one.id, one])) },
        plan: {
          ...(nest && !job.stock.spots
            ? { ...withoutNested(job.plan), arrangement: 'nest' as const }
            : job.plan),
          handPlaces: { ...job.plan.handPlaces, ...moved },
          wanted: {
            ...Object.fromEntries(
              Object.entries(job.plan.wanted).filter(([id]) => kept.some((one) => one.id === id)),
            ),
            ...counts,
          },
        },
      };
    },
  } satisfies Command<{
    pieces: readonly Piece[];
    art: readonly Art[];
    wanted: number;
    /** A piece that goes, such as the empty one that a new job begins with. */
    instead?: string;
    /** Where the first copy of each stands on the sheet; none leaves it to the arrangement. */
    places?: readonly HandPlace[];
    /** Has all be nested by their outlines, where sheets have no labels of their own. */
    nest?: boolean;
    doing?: string;
  }>,
};
