import * as z from 'zod';
import { ellipsePath } from '../../geometry/index.ts';
import { boxedKind, less, mm, type ShapeKind } from './kind.ts';

/** An oval edge. */
export const ellipseSchema = z.object({ kind: z.literal('ellipse'), width: mm, height: mm });

type EllipseShape = z.infer<typeof ellipseSchema>;

export const ellipse: ShapeKind<EllipseShape> = {
  ...boxedKind<EllipseShape>(({ width, height }) =>
    ellipsePath({ x: 0, y: 0 }, width / 2, height / 2),
  ),
  inset: (shape, by) => ({
    ...shape,
    width: less(shape.width, 2 * by),
    height: less(shape.height, 2 * by),
  }),
};
