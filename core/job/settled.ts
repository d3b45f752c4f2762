import { followFront } from './backs.ts';
import { followEdge } from './edges.ts';
import type { Job } from './schema.ts';
import { followBase } from './variants.ts';

/** A job in which everything that follows something else does so after a change. */
export const settled = (job: Job): Job => rimmed(followFront(followBase(job)));

function rimmed(job: Job): Job {
  const pieces = job.pieces.map(followEdge);
  return pieces.every((piece, at) => piece === job.pieces[at]) ? job : { ...job, pieces };
}
