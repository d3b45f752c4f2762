import { isProblem, isSame, problem, type Problem } from '../base/index.ts';
import type { Piece } from '../piece/index.ts';
import { copyParts } from '../sheet/index.ts';
import { runCommand, tryJob, type CommandCall } from './commands.ts';
import { copyOf } from './copies.ts';
import { LIST_COMMANDS } from './list-commands.ts';
import { ONE_OFF_COMMANDS } from './one-off-commands.ts';
import { oneOffBetween, withOneOffs } from './one-offs.ts';
import { mapPieces } from './map-pieces.ts';
import { notFound } from './command-problems.ts';
import type { Job } from './schema.ts';

/** The job as a copy sees it: its piece is the one that the copy has. */
export function asSeenByCopy(job: Job, copy: string): Job {
  const found = copyOf(job, copy);
  return found ? withPieceAs(job, found.piece) : job;
}

const withPieceAs = (job: Job, piece: Piece): Job =>
  mapPieces(job, (one) => (one.id === piece.id ? piece : one));

const OF_THE_JOB = new Set([...Object.keys(LIST_COMMANDS), ...Object.keys(ONE_OFF_COMMANDS)]);

/** Whether a command is about the job whichever copy is looked at. */
export const isOfTheJob = ({ name }: CommandCall): boolean => OF_THE_JOB.has(name);

/**
 * Runs a command for one copy alone: it changes the piece that this copy has, and what is other then is
 * kept for the copy. What belongs to all copies, the edge and other pieces, cannot be changed so.
 */
export function editOneCopy(job: Job, copy: string, call: CommandCall): Job | Problem {
  if (isOfTheJob(call)) return runCommand(job, call);
  const found = copyOf(job, copy);
  if (!found) return notFound('copy');
  // It follows no other piece while it is changed.
  const { variant, ...piece } = found.piece;
  void variant;
  const seen = withPieceAs(job, piece);
  const done = runCommand(seen, call);
  if (isProblem(done)) return done;
  if (done.pieces === seen.pieces) return { ...done, pieces: job.pieces };
  const { piece: id } = copyParts(copy);
  const changed = done.pieces.find((one) => one.id === id);
  if (!changed || !isSame(belongings(seen, id), belongings(done, id)))
    return problem('job/all-copies', {});
  const own = oneOffBetween(found.base, changed);
  const out = job.oneOffs?.[copy]?.out;
  const oneOffs = { ...job.oneOffs, [copy]: { ...own, ...(out ? { out } : {}) } };
  const kept = withOneOffs({ ...done, pieces: job.pieces }, oneOffs);
  return tryJob(kept) ?? kept;
}

/** What of the pieces belongs to all copies of one of them. */
const belongings = ({ pieces }: Job, id: string): unknown =>
  pieces.map((piece) => {
    // What follows it is made anew from the piece that all copies have.
    if (piece.variant?.base === id) return piece.variant;
    if (piece.id !== id) return piece;
    const { ground, elements, variant, ...rest } = piece;
    void [ground, elements, variant];
    return rest;
  });
