import type * as z from 'zod';
import { artSize } from '../art/index.ts';
import { isProblem, type Problem } from '../base/index.ts';
import { flatten, outlineFirstWay, signedArea } from '../geometry/index.ts';
import { pictureSize, pieceSize, type Piece } from '../piece/index.ts';
import { edgeBuildSchema, plainBuild, shapePath } from '../shape/index.ts';
import { arrange, withoutNested } from '../sheet/index.ts';
import { withPieces, type Command } from './command.ts';
import { invalidBySchema, notFound, refused } from './command-problems.ts';
import { scaledUntil, withBuild } from './edges.ts';
import { followsProblem } from './insert-elements.ts';
import type { Job } from './schema.ts';

/** By what pieces are made alike: a side or the longer one in mm, their area in mm², or the size that their pictures came in. */
export type SizedBy = 'height' | 'width' | 'longer' | 'area' | 'own';

/** What of an edge can be chosen for many pieces at once: all but its shapes and holes, which are each piece's own. */
export const sharedEdgeSchema = edgeBuildSchema.omit({ parts: true, punched: true });
export type SharedEdge = z.infer<typeof sharedEdgeSchema>;

/** A piece is between these, mm. */
const [LEAST_SIDE, MOST_SIDE] = [2, 1000];
const MOST_COPIES = 5000;

/** The area within a piece's edge, mm². */
export function pieceArea({ edge }: Piece): number {
  const rings = outlineFirstWay(flatten(shapePath(edge)));
  return rings.reduce((sum, ring) => sum + signedArea(ring), 0);
}

/** What a piece measures, mm, or mm² its area. */
export const MEASURES: Readonly<Record<Exclude<SizedBy, 'own'>, (piece: Piece) => number>> = {
  height: (piece) => pieceSize(piece).height,
  width: (piece) => pieceSize(piece).width,
  longer: longerSide,
  area: pieceArea,
};

/** Changes of many pieces at once. */
export const TOGETHER_COMMANDS = {
  /** Pieces and their artwork of one height, width, longer side or area, rims and radii as they are. */
  'size-pieces': {
    run: (job, { pieces, by, value }) =>
      toBeNested(
        job,
        withPieces(job, pieces, (piece) =>
          piece.variant ? followsProblem(job, piece, 'size') : sized(job, piece, { by, value }),
        ),
      ),
  } satisfies Command<{ pieces: readonly string[]; by: SizedBy; value: number }>,

  /** The same rim, corners, holes and smoothing for many pieces; the shapes of each stay its own. */
  'share-edge': {
    run: (job, { pieces, changes }) => {
      const read = sharedEdgeSchema.partial().safeParse(changes);
      if (!read.success) return invalidBySchema(read.error, changes);
      const given = Object.entries(read.data).filter(([, value]) => value !== undefined);
      const made = withPieces(job, pieces, (piece) => {
        if (piece.variant) return followsProblem(job, piece, 'other');
        const build = piece.build ?? plainBuild(piece.edge, piece.name);
        return withBuild(piece, { ...build, ...Object.fromEntries(given) });
      });
      return toBeNested(job, made);
    },
  } satisfies Command<{ pieces: readonly string[]; changes: Partial<SharedEdge> }>,

  /** So many copies of each of the pieces, or so many in sum, the first ones one more where that does not divide. */
  'want-pieces': {
    run: (job, { pieces, each, sum = 0 }) => {
      const whole = Math.round(each ?? sum);
      const most = each === undefined ? Math.ceil(whole / Math.max(1, pieces.length)) : whole;
      if (!(whole >= 0 && most <= MOST_COPIES)) return refused('copies-wanted', { count: most });
      if (!pieces.every((piece) => job.pieces.some(({ id }) => id === piece)))
        return notFound('piece');
      const wanted = { ...job.plan.wanted };
      pieces.forEach((piece, at) => {
        wanted[piece] = each === undefined ? share(whole, pieces.length, at) : whole;
      });
      return toBeNested(job, { ...job, plan: { ...job.plan, wanted } });
    },
  } satisfies Command<{ pieces: readonly string[]; each?: number; sum?: number }>,
};

/** Copies that were nested as they were before are nested anew. */
function toBeNested(before: Job, made: Job | Problem): Job | Problem {
  if (isProblem(made) || made === before || !made.plan.nested) return made;
  return { ...made, plan: withoutNested(made.plan) };
}

/** The part of a whole sum that falls to one of many. */
const share = (sum: number, of: number, at: number): number =>
  Math.floor(sum / of) + (at < sum % of ? 1 : 0);

function sized(
  job: Job,
  piece: Piece,
  { by, value }: { by: SizedBy; value: number },
): Piece | Problem {
  const ratio = (of: Piece): number => {
    if (by === 'own') return ownScale(job, of);
    const times = value / MEASURES[by](of);
    return by === 'area' ? Math.sqrt(times) : times;
  };
  const longer = longerSide(piece) * ratio(piece);
  if (!(longer >= LEAST_SIDE && longer <= MOST_SIDE))
    return refused('size-unfit', { from: LEAST_SIDE, to: MOST_SIDE });
  return scaledUntil(piece, ratio);
}

function longerSide(piece: Piece): number {
  const { width, height } = pieceSize(piece);
  return Math.max(width, height);
}

/** How many times as large a piece's picture came in. */
function ownScale(job: Job, { elements }: Piece): number {
  const picture = elements.find((one) => one.kind === 'picture');
  const art = picture && job.art[picture.art];
  return picture && art ? artSize(art).width / pictureSize(picture, art).width : 1;
}

/** How many copies of each piece so many sheets take in rows; at least one. */
export function mostOfEach(job: Job, pieces: readonly string[], sheets = 1): number {
  const plan = withoutNested(job.plan);
  const needed = (each: number): number => {
    const wanted = Object.fromEntries(pieces.map((piece) => [piece, each]));
    return arrange({ ...job, plan: { ...plan, wanted, handPlaces: {} } }).sheets.length;
  };
  // What fits on no sheet needs none.
  if (needed(1) === 0) return 1;
  let [low, high] = [1, 2];
  while (high <= MOST_COPIES && needed(high) <= sheets) [low, high] = [high, high * 2];
  while (high - low > 1) {
    const middle = Math.floor((low + high) / 2);
    if (needed(middle) <= sheets) low = middle;
    else high = middle;
  }
  return low;
}
