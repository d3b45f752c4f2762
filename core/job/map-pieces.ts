import type { Piece } from '../piece/index.ts';
import type { Job } from './schema.ts';

/** A job with each of its pieces as `map` gives it; the job itself where none becomes another. */
export function mapPieces(job: Job, map: (piece: Piece) => Piece): Job {
  const pieces = job.pieces.map(map);
  return pieces.every((piece, at) => piece === job.pieces[at]) ? job : { ...job, pieces };
}

/** The same for the pieces that are its own: guests are as they are where they belong. */
export const mapOwnPieces = (job: Job, map: (piece: Piece) => Piece): Job =>
  mapPieces(job, (piece) => (piece.guest ? piece : map(piece)));
