import type { Art } from '../art/index.ts';
import { apply, isInside, type Point } from '../geometry/index.ts';
import { isPlain, type CompiledPiece, type PlacedElement } from '../piece/index.ts';

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
  { element, compiled, maps }: PlacedElement,
  { rings }: CompiledPiece,
  art: Readonly<Record<string, Art>>,
): boolean {
  if (element.hidden) return false;
  if (element.kind === 'picture') {
    const drawn = art[element.art];
    const solid = drawn?.kind === 'pixels' && drawn.format === 'jpeg';
    if (element.spread !== undefined) return true;
    if (!solid && element.fit !== 'cover') return false;
  }
  const reach = compiled.reach ?? 0;
  const [x, y] = [compiled.width / 2 + reach, compiled.height / 2 + reach];
  const corners: Point[] = [
    { x: -x, y: -y },
    { x, y: -y },
    { x, y },
    { x: -x, y },
  ];
  return maps.some((map) => corners.some((corner) => !isInside(apply(map, corner), rings)));
}
