import { z } from 'zod';
import type { Path } from '../geometry/index.ts';
import { arc, arcSchema } from './kinds/arc.ts';
import { arch, archSchema } from './kinds/arch.ts';
import { circle, circleSchema } from './kinds/circle.ts';
import { ellipse, ellipseSchema } from './kinds/ellipse.ts';
import type { ShapeKind } from './kinds/kind.ts';
import { outline, outlineSchema } from './kinds/outline.ts';
import { rectangle, rectangleSchema } from './kinds/rectangle.ts';
import { ring, ringSchema } from './kinds/ring.ts';
import { tag, tagSchema } from './kinds/tag.ts';

/** The outline that a piece can have, with its measures in mm. */
export const edgeShapeSchema = z.discriminatedUnion('kind', [
  circleSchema,
  ellipseSchema,
  rectangleSchema,
  ringSchema,
  arcSchema,
  archSchema,
  tagSchema,
  outlineSchema,
]);
export type EdgeShape = z.infer<typeof edgeShapeSchema>;

const KINDS = { circle, ellipse, rectangle, ring, arc, arch, tag, outline };

/** The kinds of shape there are. */
export const SHAPE_KINDS = Object.keys(KINDS) as readonly EdgeShape['kind'][];

/** Shapes that need no more than a width and a height, as they are offered to choose from. */
export type PlainShape = Extract<EdgeShape, { kind: 'circle' | 'ellipse' | 'rectangle' }>;

const kindOf = (shape: EdgeShape): ShapeKind<EdgeShape> =>
  KINDS[shape.kind] as unknown as ShapeKind<EdgeShape>;

/** The width and height of a shape in mm. */
export function shapeSize(shape: EdgeShape): { width: number; height: number } {
  return kindOf(shape).size(shape);
}

/** The outline of a shape about the middle of its box, grown by `by` mm; empty when nothing is left. */
export function shapePath(shape: EdgeShape, by = 0): Path {
  return kindOf(shape).path(shape, by);
}

/** The same kind of shape with every side `by` mm further in. */
export function insetShape(shape: EdgeShape, by: number): EdgeShape {
  return kindOf(shape).inset(shape, by);
}

/** The same kind of shape at another size in mm. */
export function resizedShape(shape: EdgeShape, width: number, height: number): EdgeShape {
  return kindOf(shape).resized(shape, width, height);
}

/** A plain shape of a width and a height; corners of a new rectangle are rounded by `radius`. */
export function plainShape(
  kind: PlainShape['kind'],
  width: number,
  height: number,
  radius = 0,
): PlainShape {
  switch (kind) {
    case 'circle':
      return { kind, diameter: Math.min(width, height) };
    case 'ellipse':
      return { kind, width, height };
    case 'rectangle':
      return { kind, width, height, radius: Math.min(radius, width / 2, height / 2) };
  }
}
