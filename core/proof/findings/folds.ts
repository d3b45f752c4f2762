import {
  boxesMeet,
  boxOfRings,
  intersectionOf,
  isInside,
  signedArea,
  type Point,
  type Ring,
} from '../../geometry/index.ts';
import {
  elementTitle,
  placedBoxes,
  type CompiledPiece,
  type ElementTitle,
  type PlacedElement,
} from '../../piece/index.ts';
import type { Finding, FindingKind, ProofContext } from '../finding.ts';
import { allWords, letterQuads, place, quotable } from '../words-in-piece.ts';
import { moveToZone, zonesOfPiece } from './zones.ts';

/** What nobody sees of something that lies over a fold, mm. */
const UNSEEN = 0.3;

/** Something that is read or looked at. */
interface Shown {
  readonly piece: CompiledPiece;
  readonly placed: PlacedElement;
  readonly title: ElementTitle;
  /** The rings of what it covers in its piece, mm; worked out where they are asked for. */
  readonly rings: () => readonly Ring[];
}

/** All words, codes and pictures; a picture that fills a whole piece is its ground. */
function shownIn(context: ProofContext): Shown[] {
  const words = allWords(context).map((found): Shown => ({
    piece: found.piece,
    placed: found,
    title: quotable(found.said),
    rings: onDemand(() => letterQuads(found)),
  }));
  const others = [...context.compiled.pieces.values()].flatMap((piece) =>
    piece.elements.flatMap((placed): Shown[] => {
      const { element } = placed;
      if (element.kind !== 'picture' && element.kind !== 'code') return [];
      const rings = placedBoxes(placed);
      if (element.kind === 'picture' && fills(rings, piece)) return [];
      const title = elementTitle(element, (id) => context.compiled.job.art[id]);
      return [{ piece, placed, title, rings: () => rings }];
    }),
  );
  return [...words, ...others];
}

/** What is worked out once, where it is asked for. */
function onDemand<T>(make: () => T): () => T {
  let made: T | undefined;
  return () => (made ??= make());
}

const fills = (rings: readonly Ring[], { rings: edge }: CompiledPiece): boolean =>
  rings.some((ring) => edge.every((one) => one.every((point) => isInside(point, [ring]))));

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

/** Words, codes and pictures that lie across a fold. */
export const acrossFold = shownWhere('across-fold', ({ piece, rings }) =>
  piece.creases.some((fold) => overFold(rings(), fold) > UNSEEN),
);

/** Words, codes and pictures where one end of the label lies over the other. */
export const inOverlap = shownWhere('in-overlap', ({ piece, rings }, context) =>
  zonesOfPiece(piece, context).some(
    (zone) => zone.name === 'overlap' && reachesInto(rings(), zone.rings),
  ),
);

/** Whether something reaches into a zone by more than is seen. */
function reachesInto(rings: readonly Ring[], zone: readonly Ring[]): boolean {
  const [own, room] = [boxOfRings(rings), boxOfRings(zone)];
  if (!own || !room || !boxesMeet(own, room)) return false;
  const met = intersectionOf(rings, zone);
  const box = boxOfRings(met);
  if (!box) return false;
  const area = met.reduce((sum, ring) => sum + signedArea(ring), 0);
  return Math.min(box.right - box.left, box.bottom - box.top) > UNSEEN && area > UNSEEN * UNSEEN;
}
