import * as z from 'zod';
import { ellipsePath } from '../../geometry/index.ts';
import { less, mm, type ShapeKind } from './kind.ts';

/** A round edge. */
export const circleSchema = z.object({ kind: z.literal('circle'), diameter: mm });

export const circle: ShapeKind<z.infer<typeof circleSchema>> = {
  size: ({ diameter }) => ({ width: diameter, height: diameter }),
  path: ({ diameter }, by) => {
    const radius = diameter / 2 + by;
    return radius > 0 ? ellipsePath({ x: 0, y: 0 }, radius, radius) : [];
  },
  inset: (shape, by) => ({ ...shape, diameter: less(shape.diameter, 2 * by) }),
  resized: (shape, width, height) => ({ ...shape, diameter: Math.min(width, height) }),
};
