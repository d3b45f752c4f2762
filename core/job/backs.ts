import { onceFor } from '../base/index.ts';
import type { Piece } from '../piece/index.ts';
import { mirroredShape } from '../shape/index.ts';
import { withEdge } from './edges.ts';
import { mapPieces } from './map-pieces.ts';
import type { Job } from './schema.ts';

/** The piece that is printed on the other side of a piece. */
export const backOf = (job: Pick<Job, 'pieces'>, piece: string): Piece | undefined =>
  job.pieces.find(({ behind }) => behind === piece);

/** The pieces that are made: other sides are printed with their fronts. */
export const frontsOf = ({ pieces }: { readonly pieces: readonly Piece[] }): Piece[] =>
  pieces.filter(({ behind }) => behind === undefined);

/** The edge of a front as its other side has it; the same value for the same edge. */
const behindOf = onceFor(mirroredShape);

/** The job with every other side in the edge of its front, as it is seen from behind. */
export function followFront(job: Job): Job {
  return mapPieces(job, (piece) => {
    const front = job.pieces.find(({ id }) => id === piece.behind);
    if (!front) return piece;
    const edge = behindOf(front.edge);
    const { bleed, safe } = front;
    if (piece.edge === edge && piece.bleed === bleed && piece.safe === safe) return piece;
    const { build, ...plain } = piece;
    void build; // made of its front's
    const fitted = piece.edge === edge ? plain : withEdge(plain, edge);
    return { ...fitted, edge, bleed, safe };
  });
}
