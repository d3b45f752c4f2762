import {
  apply,
  boxAround,
  boxOf,
  corners,
  boxAbout,
  placed,
  type Box,
} from '../../../core/geometry/index.ts';
import { elementSize, type PieceElement } from '../../../core/piece/index.ts';

/** A line that something has snapped to, in mm of the piece. */
export interface Guide {
  readonly axis: 'x' | 'y';
  readonly at: number;
}

/** A move after snapping, and the lines that took hold. */
export interface Snapped {
  readonly dx: number;
  readonly dy: number;
  readonly guides: readonly Guide[];
}

/** The upright box around an element, turned as it is. */
export function elementBox(element: PieceElement): Box {
  const { width, height } = elementSize(element);
  const map = placed(element.x, element.y, element.angle);
  const box = boxOf(
    corners(boxAbout({ x: 0, y: 0 }, width, height)).map((corner) => apply(map, corner)),
  );
  return box ?? boxAbout(element, 0, 0);
}

/** The box around several elements. */
export function boxOfElements(elements: readonly PieceElement[]): Box | undefined {
  return boxAround(elements.map(elementBox));
}

/** What there is to snap to: the piece's middle, edge and safe inset, and the other elements. */
export function snapTargets(
  piece: { width: number; height: number; safe: number },
  others: readonly PieceElement[],
): { x: number[]; y: number[] } {
  const ofPiece = (side: number): number[] => [
    0,
    -side / 2,
    side / 2,
    piece.safe - side / 2,
    side / 2 - piece.safe,
  ];
  const boxes = others.map(elementBox);
  return {
    x: [
      ...ofPiece(piece.width),
      ...boxes.flatMap((box) => [box.left, (box.left + box.right) / 2, box.right]),
    ],
    y: [
      ...ofPiece(piece.height),
      ...boxes.flatMap((box) => [box.top, (box.top + box.bottom) / 2, box.bottom]),
    ],
  };
}

/**
 * Snaps a move: the nearest target within `reach` mm of a side or the middle of the moved box takes
 * hold, for each axis on its own.
 */
export function snapMove(
  box: Box,
  move: { dx: number; dy: number },
  targets: { x: readonly number[]; y: readonly number[] },
  reach: number,
): Snapped {
  const across = nearest(
    [box.left, (box.left + box.right) / 2, box.right],
    move.dx,
    targets.x,
    reach,
  );
  const down = nearest(
    [box.top, (box.top + box.bottom) / 2, box.bottom],
    move.dy,
    targets.y,
    reach,
  );
  return {
    dx: across?.move ?? move.dx,
    dy: down?.move ?? move.dy,
    guides: [
      ...(across ? [{ axis: 'x', at: across.at } as const] : []),
      ...(down ? [{ axis: 'y', at: down.at } as const] : []),
    ],
  };
}

function nearest(
  lines: readonly number[],
  move: number,
  targets: readonly number[],
  reach: number,
): { move: number; at: number } | undefined {
  let best: { move: number; at: number; off: number } | undefined;
  for (const line of lines) {
    for (const at of targets) {
      const off = Math.abs(line + move - at);
      if (off <= reach && off < (best?.off ?? Infinity) - 1e-9) best = { move: at - line, at, off };
    }
  }
  return best;
}
