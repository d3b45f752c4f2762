import type { Art } from '../art/index.ts';
import { isProblem, type Problem } from '../base/index.ts';
import type { Piece } from '../piece/index.ts';
import { notFound } from './command-problems.ts';
import type { Job } from './schema.ts';

/** A change of a job: pure. */
export interface Command<A> {
  /** The job after the change, the same job when nothing changes, or why it cannot be. */
  run(job: Job, args: A): Job | Problem;
}

/** The job with one piece changed; a problem when it is not there, or cannot be changed so. */
export function withPiece(
  job: Job,
  id: string,
  change: (piece: Piece) => Piece | Problem,
): Job | Problem {
  const piece = job.pieces.find((one) => one.id === id);
  if (!piece) return notFound('piece');
  const changed = change(piece);
  if (isProblem(changed)) return changed;
  if (changed === piece) return job;
  return { ...job, pieces: job.pieces.map((one) => (one === piece ? changed : one)) };
}

/** A job with several of its pieces changed, each in the job as the ones before left it. */
export const withPieces = (
  job: Job,
  ids: readonly string[],
  change: (piece: Piece, now: Job) => Piece | Problem,
): Job | Problem =>
  ids.reduce<Job | Problem>(
    (now, id) => (isProblem(now) ? now : withPiece(now, id, (piece) => change(piece, now))),
    job,
  );

/** A changed job with what is known of art that it names now. */
export function withArt(changed: Job | Problem, art: readonly Art[]): Job | Problem {
  if (isProblem(changed) || art.length === 0) return changed;
  return {
    ...changed,
    art: { ...changed.art, ...Object.fromEntries(art.map((one) => [one.id, one])) },
  };
}

/** Commands of one piece. */
export interface Of {
  readonly piece: string;
}
