import type { Art } from '../art/index.ts';
import { isInside } from '../geometry/index.ts';
import { isPlain, placedBoxes, type CompiledPiece, type PlacedElement } from '../piece/index.ts';

/**
 * The one colour that a piece prints beyond its edge, in small letters: that of its material where it
 * prints nothing there. Undefined where it may print several.
 */
export function findBleedInk(
  piece: CompiledPiece,
  { material, art }: { readonly material: string; readonly art: Readonly<Record<string, Art>> },
): string | undefined {
  const { ground } = piece.piece;
  if (ground !== null && !isPlain(ground)) return undefined;
  if (piece.elements.some((one) => reachesOut(one, piece, art))) return undefined;
  return (ground ?? material).toLowerCase();
}

/** Whether an element prints beyond the edge; of pictures that may be clear there it is not assumed. */
function reachesOut(
  placed: PlacedElement,
  { rings }: CompiledPiece,
  art: Readonly<Record<string, Art>>,
): boolean {
  const { element } = placed;
  if (element.hidden) return false;
  if (element.kind === 'picture') {
    const drawn = art[element.art];
    const solid = drawn?.kind === 'pixels' && drawn.format === 'jpeg';
    if (element.spread !== undefined) return true;
    if (!solid && element.fit !== 'cover') return false;
  }
  return placedBoxes(placed, placed.compiled.reach ?? 0).some((box) =>
    box.some((corner) => !isInside(corner, rings)),
  );
}
