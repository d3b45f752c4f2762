import { Board, gridSize, reachOf, turnedOutline, type NestPlace } from '../core/packing/index.ts';
import type { NestInstance } from './nest-shapes.ts';

const CELL = 0.25; // mm

/**
 * The plain way: by falling area, turned by 0 or 90 degrees, each copy where its lowest, then
 * leftmost point is lowest and farthest left. On so fine a grid that it wastes next to nothing.
 */
export function bottomLeft({ room, wishes }: NestInstance): { area: number; places: NestPlace[] } {
  const grid = { room, cell: CELL, reach: reachOf(room.gap), cover: 'touched' as const };
  const { cols, rows } = gridSize(grid);
  const board = new Board(cols, rows);
  const places: NestPlace[] = [];
  let area = 0;
  const order = [...wishes.entries()].sort(([, one], [, other]) => other.area - one.area);
  for (const [kind, wish] of order) {
    const turns = [0, 90].flatMap(
      (angle) => turnedOutline(wish.ring, angle, { grid, board }) ?? [],
    );
    for (let copy = 0; copy < wish.wanted; copy++) {
      let best: { low: number; x: number; y: number; turned: (typeof turns)[number] } | undefined;
      for (const turned of turns) {
        const { across, down, ends, barred, mask } = turned;
        search: for (let y = down - 1; y >= 0; y--) {
          const low = y + mask.bottom;
          if (best && low < best.low) break;
          for (let x = 0; x < across; x++) {
            if (barred?.[y * across + x] || board.under(ends, x, y, 0) > 0) continue;
            if (!best || low > best.low || x < best.x) best = { low, x, y, turned };
            break search;
          }
        }
      }
      if (!best) break;
      const { turned, x, y } = best;
      board.lay(turned.mask, x, y, 1);
      board.settle();
      area += wish.area;
      const { angle, origin } = turned;
      places.push({ kind, angle, x: origin.x + x * CELL, y: origin.y + y * CELL });
    }
  }
  return { area, places };
}
