import * as z from 'zod';
import { rectanglePath } from '../../geometry/index.ts';
import { less, mm, type ShapeKind } from './kind.ts';

/** A four-cornered edge; `radius` rounds its corners. */
export const rectangleSchema = z.object({
  kind: z.literal('rectangle'),
  width: mm,
  height: mm,
  radius: z.number().min(0).max(1000),
});

export const rectangle: ShapeKind<z.infer<typeof rectangleSchema>> = {
  size: ({ width, height }) => ({ width, height }),
  path: ({ width, height, radius }, by) => {
    const [w, h] = [width + 2 * by, height + 2 * by];
    return w > 0 && h > 0
      ? rectanglePath({ x: 0, y: 0 }, w, h, Math.max(0, radius > 0 ? radius + by : 0))
      : [];
  },
  inset: (shape, by) => ({
    ...shape,
    width: less(shape.width, 2 * by),
    height: less(shape.height, 2 * by),
    radius: Math.max(0, shape.radius - by),
  }),
  resized: (shape, width, height) => ({
    ...shape,
    width,
    height,
    radius: Math.min(shape.radius, width / 2, height / 2),
  }),
  measures: [
    {
      key: 'radius',
      counts: false,
      least: 0,
      most: ({ width, height }) => Math.min(width, height) / 2,
      at: ({ width, height, radius }) => ({ x: width / 2 - radius, y: -height / 2 }),
      read: ({ width }, { x }) => width / 2 - x,
    },
  ],
};
