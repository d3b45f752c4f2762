import { z } from 'zod';
import { ellipsePath, flatten, offsetRegion, ringsPath } from '../../geometry/index.ts';
import { less, mm, type ShapeKind } from './kind.ts';

/** An oval edge. */
export const ellipseSchema = z.object({ kind: z.literal('ellipse'), width: mm, height: mm });

export const ellipse: ShapeKind<z.infer<typeof ellipseSchema>> = {
  size: ({ width, height }) => ({ width, height }),
  path: ({ width, height }, by) => {
    const exact = ellipsePath({ x: 0, y: 0 }, width / 2, height / 2);
    return by === 0 ? exact : ringsPath(offsetRegion(flatten(exact, 0.002), by));
  },
  inset: (shape, by) => ({
    ...shape,
    width: less(shape.width, 2 * by),
    height: less(shape.height, 2 * by),
  }),
  resized: (shape, width, height) => ({ ...shape, width, height }),
};
