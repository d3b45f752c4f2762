import {
  boxesMeet,
  boxOfRings,
  intersectionOf,
  isInside,
  signedArea,
  type Ring,
} from '../geometry/index.ts';
import {
  elementTitle,
  placedBoxes,
  type CompiledPiece,
  type ElementTitle,
  type PlacedElement,
} from '../piece/index.ts';
import type { ProofContext } from './finding.ts';
import { allWords, letterQuads, quotable } from './words-in-piece.ts';

/** What nobody sees of something that lies where it should not, mm. */
export const UNSEEN = 0.3;

/** Something that is read or looked at. */
export interface Shown {
  readonly piece: CompiledPiece;
  readonly placed: PlacedElement;
  readonly title: ElementTitle;
  /** The rings of what it covers in its piece, mm; worked out where they are asked for. */
  readonly rings: () => readonly Ring[];
}

/** All words, codes and pictures; a picture that fills a whole piece is its ground. */
export function shownIn(context: ProofContext): Shown[] {
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

/** Whether something reaches into rings by more than is seen. */
export function reachesInto(rings: readonly Ring[], zone: readonly Ring[]): boolean {
  const [own, room] = [boxOfRings(rings), boxOfRings(zone)];
  if (!own || !room || !boxesMeet(own, room)) return false;
  const met = intersectionOf(rings, zone);
  const box = boxOfRings(met);
  if (!box) return false;
  const area = met.reduce((sum, ring) => sum + signedArea(ring), 0);
  return Math.min(box.right - box.left, box.bottom - box.top) > UNSEEN && area > UNSEEN * UNSEEN;
}
