import { apply, boxOf, corners, invert, type Box } from '../geometry/index.ts';
import { findBounds } from './bounds.ts';
import type { DrawingNode, TilePaint } from './drawing.ts';

/** One place of a tile: how many columns to the right and rows down. */
export interface Cell {
  readonly column: number;
  readonly row: number;
}

/** The places of a tile from which something can be seen in a box of the drawing, mm. */
export function cellsOf(tile: TilePaint, box: Box): Cell[] {
  if (tile.once) return [{ column: 0, row: 0 }];
  const back = invert(tile.map);
  const seen = boxOf(corners(box).map((corner) => apply(back, corner)));
  const own = findBounds(tile.nodes);
  if (!seen || !own) return [];
  const columns = steps(seen.left - own.right, seen.right - own.left, tile.width);
  const rows = steps(seen.top - own.bottom, seen.bottom - own.top, tile.height);
  return rows.flatMap((row) => columns.map((column) => ({ column, row })));
}

/** What shows by less is a matter of rounding, mm. */
const LEAST = 2e-4;

/** The whole multiples of a side between one length and another. */
function steps(from: number, to: number, side: number): number[] {
  const first = Math.ceil((from + LEAST) / side);
  const last = Math.floor((to - LEAST) / side);
  return Array.from({ length: Math.max(0, last - first + 1) }, (_, at) => first + at);
}

/** The nodes that are seen in one tile: its own, and what reaches into it from its neighbours. */
export function nodesInTile(tile: TilePaint): DrawingNode[] {
  const box = { left: 0, top: 0, right: tile.width, bottom: tile.height };
  const plain: TilePaint = { ...tile, map: [1, 0, 0, 1, 0, 0] };
  return cellsOf(plain, box).map(({ column, row }) => ({
    kind: 'group',
    transform: [1, 0, 0, 1, column * tile.width, row * tile.height],
    children: tile.nodes,
  }));
}
