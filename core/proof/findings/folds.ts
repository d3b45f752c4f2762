import type { Point, Ring } from '../../geometry/index.ts';
import type { Finding, FindingKind, ProofContext } from '../finding.ts';
import { reachesInto, shownIn, UNSEEN, type Shown } from '../shown-in-piece.ts';
import { place } from '../words-in-piece.ts';
import { moveToZone, zonesOfPiece } from './zones.ts';

/** How far something reaches over to the side of a fold on which there is less of it, mm. */
function overFold(rings: readonly Ring[], fold: readonly Point[]): number {
  const [from, to] = [fold[0], fold[fold.length - 1]];
  if (!from || !to) return 0;
  const length = Math.hypot(to.x - from.x, to.y - from.y);
  if (length === 0) return 0;
  const [ux, uy] = [(to.x - from.x) / length, (to.y - from.y) / length];
  let [least, most] = [0, 0];
  for (const ring of rings) {
    const along = ring.map(({ x, y }) => (x - from.x) * ux + (y - from.y) * uy);
    if (Math.max(...along) < 0 || Math.min(...along) > length) continue;
    for (const { x, y } of ring) {
      const aside = (y - from.y) * ux - (x - from.x) * uy;
      [least, most] = [Math.min(least, aside), Math.max(most, aside)];
    }
  }
  return Math.min(-least, most);
}

/** A kind of finding of everything shown that lies somewhere. */
const shownWhere = (
  code: 'across-fold' | 'in-overlap',
  liesThere: (shown: Shown, context: ProofContext) => boolean,
): FindingKind => ({
  code,
  check: (context) =>
    shownIn(context)
      .filter((shown) => liesThere(shown, context))
      .map(({ piece, placed, title }): Finding => {
        const fix = moveToZone({ placed, piece }, context);
        return {
          code,
          severity: placed.element.kind === 'picture' ? 'note' : 'warning',
          where: place({ ...placed, piece }),
          values: { title, piece: piece.piece.name },
          ...(fix ? { fix } : {}),
        };
      }),
});

/** Words, codes and pictures that lie across a fold and are not meant to. */
export const acrossFold = shownWhere(
  'across-fold',
  ({ piece, placed, rings }) =>
    !placed.element.acrossFolds && piece.creases.some((fold) => overFold(rings(), fold) > UNSEEN),
);

/** Words, codes and pictures where one end of the label lies over the other. */
export const inOverlap = shownWhere('in-overlap', ({ piece, rings }, context) =>
  zonesOfPiece(piece, context).some(
    (zone) => zone.name === 'overlap' && reachesInto(rings(), zone.rings),
  ),
);
