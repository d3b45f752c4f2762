import type { Placement, SheetLayout } from './arrange.ts';
import type { Plan } from './plan.ts';

/**
 * Where the other sides of copies are printed once the sheet was turned over on an edge: behind their
 * front sides, upright where the label is turned like a page. Copies without another side are left out.
 * @param backs the piece on the other side of a piece
 */
export function backLayout(
  { stock, placements }: SheetLayout,
  turnOver: Plan['turnOver'],
  backs: (piece: string) => string | undefined,
): SheetLayout | undefined {
  const { width, height } = stock;
  // Turned on an upright edge left and right change places, on a level one top and bottom do.
  const sideways = (turnOver !== 'short') === height >= width;
  const behind = placements.flatMap((one): Placement[] => {
    const piece = backs(one.piece);
    if (piece === undefined) return [];
    const angle = sideways ? -one.angle : 180 - one.angle;
    return [
      {
        ...one,
        piece,
        x: sideways ? width - one.x : one.x,
        y: sideways ? one.y : height - one.y,
        angle: (angle + 360) % 360,
      },
    ];
  });
  return behind.length ? { stock, placements: behind } : undefined;
}
