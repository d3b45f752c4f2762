import { followFront } from './backs.ts';
import { followEdge } from './edges.ts';
import { mapPieces } from './map-pieces.ts';
import type { Job } from './schema.ts';
import { followBase } from './variants.ts';

/** A job in which everything that follows something else does so after a change. */
export const settled = (job: Job): Job => mapPieces(followFront(followBase(job)), followEdge);
