import {
  apply,
  boxOfRings,
  commonOf,
  corners,
  isInside,
  signedArea,
  type Point,
  type Ring,
} from '../../geometry/index.ts';
import { elementTitle, type CompiledPiece, type PlacedElement } from '../../piece/index.ts';
import { zonesOf } from '../../things/index.ts';
import type { Finding, FindingKind, ProofContext } from '../finding.ts';
import { allWords, letterBoxes, place, quoted } from '../words-in-piece.ts';

/** What nobody sees of something that lies over a fold, mm. */
const UNSEEN = 0.3;

/** Something that is read or looked at, with the rings of what it covers in its piece, mm. */
interface Shown {
  readonly piece: CompiledPiece;
  readonly placed: PlacedElement;
  readonly called: string;
  readonly rings: readonly Ring[];
}

/** All words, codes and pictures; a picture that fills a whole piece is its ground. */
function shownIn(context: ProofContext): Shown[] {
  const words = allWords(context).map((found): Shown => ({
    piece: found.piece,
    placed: found,
    called: quoted(found.said),
    rings: letterBoxes(found),
  }));
  const others = [...context.compiled.pieces.values()].flatMap((piece) =>
    piece.elements.flatMap((placed): Shown[] => {
      const { element } = placed;
      if (element.kind !== 'picture' && element.kind !== 'code') return [];
      const rings = boxesOf(placed);
      if (element.kind === 'picture' && fills(rings, piece)) return [];
      const title = elementTitle(element, (id) => context.compiled.job.art[id]);
      return [{ piece, placed, called: `“${title}”`, rings }];
    }),
  );
  return [...words, ...others].filter(({ rings }) => rings.length > 0);
}

function boxesOf({ compiled, maps }: PlacedElement): Ring[] {
  const [x, y] = [compiled.width / 2, compiled.height / 2];
  const box = corners({ left: -x, top: -y, right: x, bottom: y });
  return maps.map((map) => box.map((corner) => apply(map, corner)));
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

const severityOf = ({ placed }: Shown): Finding['severity'] =>
  placed.element.kind === 'picture' ? 'note' : 'warning';

/** Words, codes and pictures that lie across a fold. */
export const acrossFold: FindingKind = {
  code: 'across-fold',
  check: (context) =>
    shownIn(context).flatMap((shown): Finding[] => {
      const { piece, placed, called, rings } = shown;
      if (!piece.creases.some((fold) => overFold(rings, fold) > UNSEEN)) return [];
      return [
        {
          code: 'across-fold',
          severity: severityOf(shown),
          where: place({ ...placed, piece }),
          what: `${called} on “${piece.piece.name}” lies across a fold.`,
          why: 'On the thing it goes around the corner: part of it is seen from one side, part from the other.',
        },
      ];
    }),
};

/** Words, codes and pictures where one end of the label lies over the other. */
export const inOverlap: FindingKind = {
  code: 'in-overlap',
  check: (context) =>
    shownIn(context).flatMap((shown): Finding[] => {
      const { piece, placed, called, rings } = shown;
      const thing = piece.piece.variant?.thing ?? context.compiled.job.thing;
      const zones = zonesOf(thing, piece.piece.edge).filter(({ name }) => name === 'overlap');
      if (!zones.some((zone) => reachesInto(rings, zone.rings))) return [];
      return [
        {
          code: 'in-overlap',
          severity: severityOf(shown),
          where: place({ ...placed, piece }),
          what: `${called} on “${piece.piece.name}” stands in the overlap.`,
          why: 'The other end of the label lies over it, and hides it.',
        },
      ];
    }),
};

/** Whether something reaches into a zone by more than is seen. */
function reachesInto(rings: readonly Ring[], zone: readonly Ring[]): boolean {
  const met = commonOf(rings, zone);
  const box = boxOfRings(met);
  if (!box) return false;
  const area = met.reduce((sum, ring) => sum + signedArea(ring), 0);
  return Math.min(box.right - box.left, box.bottom - box.top) > UNSEEN && area > UNSEEN * UNSEEN;
}
