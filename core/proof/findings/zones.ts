import type { ElementChanges } from '../../job/index.ts';
import {
  elementInZone,
  thingOf,
  type CompiledPiece,
  type PieceElement,
  type PlacedElement,
} from '../../piece/index.ts';
import { isReadable, mainZone, zoneAt, zonesOf, type Zone } from '../../things/index.ts';
import { allCodes, codeTitle } from '../codes-in-piece.ts';
import type { Finding, FindingKind, Fix, ProofContext } from '../finding.ts';
import { allWords, change, place, quotable } from '../words-in-piece.ts';

/** The zones of a piece on its thing. */
export const zonesOfPiece = (piece: CompiledPiece, context: ProofContext): readonly Zone[] =>
  zonesOf(thingOf(piece.piece, context.compiled.job.thing), piece.piece.edge);

/** What differs of an element after a change of it. */
function changesOf(before: PieceElement, after: PieceElement): ElementChanges {
  const was = before as unknown as Record<string, unknown>;
  return Object.fromEntries(Object.entries(after).filter(([name, value]) => was[name] !== value));
}

/**
 * Moves an element into a zone: the one in which its middle lies, as far as that is read, or else the front.
 * Nothing where the label has no zone to which it could go.
 * @param avoid a zone in which it may not stay
 */
export function moveToZone(
  { placed, piece }: { readonly placed: PlacedElement; readonly piece: CompiledPiece },
  context: ProofContext,
  avoid?: Zone['name'],
): Fix | undefined {
  const zones = zonesOfPiece(piece, context);
  const { element } = placed;
  const here = zoneAt(zones, element);
  const zone = here && isReadable(here) && here.name !== avoid ? here : mainZone(zones);
  if (!zone || zone.name === avoid) return undefined;
  const moved = elementInZone(
    element,
    { zone, edge: piece.piece.edge, safe: piece.piece.safe },
    here === zone ? 'nearest' : 'middle',
  );
  return {
    code: 'move-to-zone',
    values: { zone: zone.name },
    call: change({ piece, element }, changesOf(element, moved), 'move'),
  };
}

/** Letters up to this size are small print, pt. */
const SMALL_PRINT = 9;

/** Small print and codes on the side on which the thing stands. */
export const onTheGround: FindingKind = {
  code: 'on-the-ground',
  check(context) {
    const isBelow = (piece: CompiledPiece, { element }: PlacedElement): boolean =>
      zoneAt(zonesOfPiece(piece, context), element)?.name === 'bottom';
    const small = allWords(context)
      .filter((found) => found.set.size <= SMALL_PRINT && isBelow(found.piece, found))
      .map((found) => ({ placed: found, piece: found.piece, title: quotable(found.said) }));
    const codes = allCodes(context)
      .filter((found) => isBelow(found.piece, found))
      .map((found) => ({ placed: found, piece: found.piece, title: codeTitle(found.element) }));
    return [...small, ...codes].map(({ placed, piece, title }): Finding => {
      const fix = moveToZone({ placed, piece }, context, 'bottom');
      return {
        code: 'on-the-ground',
        severity: 'note',
        where: place({ ...placed, piece }),
        values: { title, piece: piece.piece.name },
        ...(fix ? { fix } : {}),
      };
    });
  },
};
