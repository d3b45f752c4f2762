import {
  apply,
  boxAbout,
  boxAround,
  boxOf,
  corners,
  mapRing,
  type Box,
  type Ring,
} from '../geometry/index.ts';
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

/** The corners of an element's box in its piece, wherever it is repeated, grown by so many mm. */
export function placedBoxes({ compiled, maps }: PlacedElement, grow = 0): Ring[] {
  const { width, height } = compiled;
  const box = corners(boxAbout({ x: 0, y: 0 }, width + 2 * grow, height + 2 * grow));
  return maps.map((map) => mapRing(box, map));
}

/** The box around what is seen of several elements. */
export const seenBoxOf = (placed: readonly PlacedElement[]): Box | undefined =>
  boxAround(placed.map(seenBox));
