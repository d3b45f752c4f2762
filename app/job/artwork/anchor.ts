import { apply, type Point } from '../../../core/geometry/index.ts';
import type { ElementChanges } from '../../../core/job/index.ts';
import {
  elementMap,
  elementSize,
  resizedElement,
  type PieceElement,
} from '../../../core/piece/index.ts';

/** A place of an element's box by its signs: (-1, -1) is its top left, (0, 0) its middle. */
export interface Anchor {
  readonly x: -1 | 0 | 1;
  readonly y: -1 | 0 | 1;
}

/** Where an anchor of an element stands in the piece, mm. */
export function anchorOf(element: PieceElement, { x, y }: Anchor): Point {
  const { width, height } = elementSize(element);
  return apply(elementMap(element), { x: (x * width) / 2, y: (y * height) / 2 });
}

/** The changes that give an element another size while its anchor stays where it is. */
export function anchored(
  element: PieceElement,
  anchor: Anchor,
  size: { readonly width: number; readonly height: number },
): ElementChanges {
  const before = anchorOf(element, anchor);
  const made = resizedElement(element, size.width, size.height);
  const after = anchorOf(made, anchor);
  return { ...made, x: made.x + before.x - after.x, y: made.y + before.y - after.y };
}

/** The changes that turn an element about an anchor, which stays where it is. */
export function turnedAbout(element: PieceElement, anchor: Anchor, angle: number): ElementChanges {
  const [before, after] = [anchorOf(element, anchor), anchorOf({ ...element, angle }, anchor)];
  return { angle, x: element.x + before.x - after.x, y: element.y + before.y - after.y };
}
