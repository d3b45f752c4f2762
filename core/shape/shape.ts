import { z } from 'zod';
import {
  ellipsePath,
  flatten,
  offsetRegion,
  rectanglePath,
  ringsPath,
  type Path,
} from '../geometry/index.ts';

const mm = z.number().positive().max(2000);

/** A round edge. */
export const circleSchema = z.object({ kind: z.literal('circle'), diameter: mm });
/** An oval edge. */
export const ellipseSchema = z.object({ kind: z.literal('ellipse'), width: mm, height: mm });
/** A four-cornered edge; `radius` rounds its corners. */
export const rectangleSchema = z.object({
  kind: z.literal('rectangle'),
  width: mm,
  height: mm,
  radius: z.number().min(0).max(1000),
});

/** The outline that a piece can have, with its measures in mm. */
export const edgeShapeSchema = z.discriminatedUnion('kind', [
  circleSchema,
  ellipseSchema,
  rectangleSchema,
]);
export type EdgeShape = z.infer<typeof edgeShapeSchema>;

/** What each kind of shape can do. All paths stand about the shape's centre at (0, 0). */
interface ShapeKind<S extends EdgeShape> {
  size(shape: S): { width: number; height: number };
  /** The outline grown by `by` mm, shrunk when negative; empty when nothing is left. */
  path(shape: S, by: number): Path;
  /** The same kind of shape at another size. */
  resized(shape: S, width: number, height: number): S;
}

const circle: ShapeKind<z.infer<typeof circleSchema>> = {
  size: ({ diameter }) => ({ width: diameter, height: diameter }),
  path: ({ diameter }, by) => {
    const radius = diameter / 2 + by;
    return radius > 0 ? ellipsePath({ x: 0, y: 0 }, radius, radius) : [];
  },
  resized: (shape, width, height) => ({ ...shape, diameter: Math.min(width, height) }),
};

const ellipse: ShapeKind<z.infer<typeof ellipseSchema>> = {
  size: ({ width, height }) => ({ width, height }),
  path: ({ width, height }, by) => {
    const exact = ellipsePath({ x: 0, y: 0 }, width / 2, height / 2);
    return by === 0 ? exact : ringsPath(offsetRegion(flatten(exact, 0.002), by));
  },
  resized: (shape, width, height) => ({ ...shape, width, height }),
};

const rectangle: ShapeKind<z.infer<typeof rectangleSchema>> = {
  size: ({ width, height }) => ({ width, height }),
  path: ({ width, height, radius }, by) => {
    const [w, h] = [width + 2 * by, height + 2 * by];
    return w > 0 && h > 0
      ? rectanglePath({ x: 0, y: 0 }, w, h, Math.max(0, radius > 0 ? radius + by : 0))
      : [];
  },
  resized: (shape, width, height) => ({
    ...shape,
    width,
    height,
    radius: Math.min(shape.radius, width / 2, height / 2),
  }),
};

const KINDS = { circle, ellipse, rectangle };

/** The kinds of shape there are, in the order in which they are offered. */
export const SHAPE_KINDS = Object.keys(KINDS) as readonly EdgeShape['kind'][];

const kindOf = (shape: EdgeShape): ShapeKind<EdgeShape> =>
  KINDS[shape.kind] as unknown as ShapeKind<EdgeShape>;

/** The width and height of a shape in mm. */
export function shapeSize(shape: EdgeShape): { width: number; height: number } {
  return kindOf(shape).size(shape);
}

/** The outline of a shape about its centre, grown by `by` mm; empty when nothing is left of it. */
export function shapePath(shape: EdgeShape, by = 0): Path {
  return kindOf(shape).path(shape, by);
}

/** The same kind of shape at another size in mm. */
export function resizedShape(shape: EdgeShape, width: number, height: number): EdgeShape {
  return kindOf(shape).resized(shape, width, height);
}
