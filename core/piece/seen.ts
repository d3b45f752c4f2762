import { apply, boxAbout, boxAround, boxOf, corners, type Box } from '../geometry/index.ts';
import type { PlacedElement } from './compile.ts';

/**
 * The upright box around what is seen of an element where it stands itself, mm: of words their
 * letters, of everything else its frame, turned as it is.
 */
export function seenBox({ element, compiled, maps }: PlacedElement): Box {
  const own = compiled.words?.ink ?? boxAbout({ x: 0, y: 0 }, compiled.width, compiled.height);
  const [map] = maps;
  const box = map && boxOf(corners(own).map((corner) => apply(map, corner)));
  return box ?? boxAbout(element, 0, 0);
}

/** The box around what is seen of several elements. */
export const seenBoxOf = (placed: readonly PlacedElement[]): Box | undefined =>
  boxAround(placed.map(seenBox));
