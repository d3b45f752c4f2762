import { err, ok, type Result } from '../../base/index.ts';
import type { Point } from '../../geometry/index.ts';
import type { SeenLabel } from '../../register/index.ts';
import { resizedShape, shapeSize, type EdgeShape } from '../../shape/index.ts';
import { checkSpots, type Spots, type Stock } from '../stock.ts';
import { gridOf, readingOrder, within } from './label-grid.ts';
import { shapeOf } from './label-shape.ts';
import { SHARPNESS, stepped } from './sharpness.ts';

/**
 * The die-cut sheet that seen labels make: their shape is the plainest one that keeps to their
 * outlines, or the outline itself; their places are rows and columns, staggered ones too, where these
 * explain all of them, and else each its own.
 */
export function templateFromLabels(
  labels: readonly SeenLabel[],
  sheet: Pick<Stock, 'id' | 'name' | 'width' | 'height'>,
  seenIn: keyof typeof SHARPNESS,
): Result<Stock & { spots: Spots }> {
  if (labels.length === 0) return err('stock/no-labels', {});
  const sharpness = SHARPNESS[seenIn];
  const { shape, lower } = shapeOf(labels, sharpness);
  const middles = labels.map(({ box }): Point => ({
    x: (box.left + box.right) / 2,
    y: (box.top + box.bottom) / 2 + lower,
  }));
  const places = readingOrder(middles, shapeSize(shape).height);
  const stockWith = (spots: Spots): Stock & { spots: Spots } => ({
    ...sheet,
    form: 'sheet',
    margins: [5, 5, 5, 5],
    spots,
  });
  const free = (of: EdgeShape): Stock & { spots: Spots } => {
    const at = (value: number): number => stepped(value, sharpness.step);
    const stepwise = places.map(({ x, y }) => ({ x: at(x), y: at(y), angle: 0 }));
    return stockWith({ layout: 'free', shape: of, places: stepwise });
  };
  const grid = gridOf(places, shape, sharpness);
  const { width, height } = shapeSize(shape);
  // As it was seen, or a hair smaller, where labels touch and one was seen a hair too large.
  const smaller = resizedShape(shape, width - sharpness.grid, height - sharpness.grid);
  const tries = [
    ...(grid ? [stockWith(within(grid, sheet, sharpness.grid))] : []),
    free(shape),
    free(smaller),
  ];
  const closing = tries.find((stock) => checkSpots(stock).ok);
  if (closing) return ok(closing);
  const why = checkSpots(free(shape));
  return why.ok ? ok(free(shape)) : why;
}
