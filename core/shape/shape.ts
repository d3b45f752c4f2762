import * as z from 'zod';
import type { Path } from '../geometry/index.ts';
import { arc, arcSchema } from './kinds/arc.ts';
import { arch, archSchema } from './kinds/arch.ts';
import { banner, bannerSchema } from './kinds/banner.ts';
import { circle, circleSchema } from './kinds/circle.ts';
import { ellipse, ellipseSchema } from './kinds/ellipse.ts';
import { heart, heartSchema } from './kinds/heart.ts';
import type { ShapeKind, ShapeMeasure } from './kinds/kind.ts';
import { leaf, leafSchema } from './kinds/leaf.ts';
import { findInner, outline, outlineSchema } from './kinds/outline.ts';
import { polygon, polygonSchema } from './kinds/polygon.ts';
import { rectangle, rectangleSchema } from './kinds/rectangle.ts';
import { ring, ringSchema } from './kinds/ring.ts';
import { scallop, scallopSchema } from './kinds/scallop.ts';
import { shield, shieldSchema } from './kinds/shield.ts';
import { tag, tagSchema } from './kinds/tag.ts';
import { ticket, ticketSchema } from './kinds/ticket.ts';

/** The outline that a piece can have, with its measures in mm. */
export const edgeShapeSchema = z.discriminatedUnion('kind', [
  circleSchema,
  ellipseSchema,
  rectangleSchema,
  ringSchema,
  arcSchema,
  archSchema,
  tagSchema,
  polygonSchema,
  scallopSchema,
  ticketSchema,
  shieldSchema,
  bannerSchema,
  heartSchema,
  leafSchema,
  outlineSchema,
]);
export type EdgeShape = z.infer<typeof edgeShapeSchema>;

const KINDS = {
  circle,
  ellipse,
  rectangle,
  ring,
  arc,
  arch,
  tag,
  polygon,
  scallop,
  ticket,
  shield,
  banner,
  heart,
  leaf,
  outline,
};

/** The kinds of shape there are. */
export const SHAPE_KINDS = Object.keys(KINDS) as readonly EdgeShape['kind'][];

/** The measures that a shape has beside its width and height. */
export function shapeMeasures(shape: EdgeShape): readonly ShapeMeasure<EdgeShape>[] {
  return kindOf(shape).measures ?? [];
}

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

/** The shape with every side `by` mm further in: of the same kind where there is one, else an outline. */
export function insetShape(shape: EdgeShape, by: number): EdgeShape {
  const { inset } = kindOf(shape);
  return inset?.(shape, by) ?? findInner(shapePath(shape), by) ?? resizedShape(shape, 1, 1);
}

/** The same kind of shape at another size in mm. */
export function resizedShape(shape: EdgeShape, width: number, height: number): EdgeShape {
  return kindOf(shape).resized(shape, width, height);
}

/** Whether a shape bulges outwards everywhere and has no hole: what has its corners inside lies inside. */
export function isConvex(shape: EdgeShape): boolean {
  if (shape.kind === 'tag') return shape.holes.length === 0;
  return ['circle', 'ellipse', 'rectangle', 'arch', 'polygon'].includes(shape.kind);
}

/** The kinds of shape that can be drawn into any box. */
export type BoxedKind = Exclude<EdgeShape['kind'], 'ring' | 'outline'>;

/** A shape of a kind in a box of a width and height, with details that suit its size. */
export function plainShape<K extends BoxedKind>(
  kind: K,
  width: number,
  height: number,
  radius = 0,
): Extract<EdgeShape, { kind: K }> {
  return drawnInto(kind, width, height, radius) as Extract<EdgeShape, { kind: K }>;
}

function drawnInto(kind: BoxedKind, width: number, height: number, radius: number): EdgeShape {
  const least = Math.min(width, height);
  switch (kind) {
    case 'circle':
      return { kind, diameter: least };
    case 'ellipse':
      return { kind, width, height };
    case 'rectangle':
      return { kind, width, height, radius: Math.min(radius, least / 2) };
    case 'arc': {
      // A third of a turn, as wide as the box and no higher than it.
      const [angle, radius] = [120, width / 2 / Math.sin(Math.PI / 3)];
      const slant = Math.max(height - radius / 2, height * 0.45);
      return { kind, radius, slant: Math.min(slant, radius * 0.9), angle, wide: 'top' };
    }
    case 'arch':
      return { kind, width, height, rise: Math.min(width / 2, height) };
    case 'tag':
      return {
        kind,
        width,
        height,
        corner: least / 4,
        corners: 'clipped',
        which: 'top',
        holes: [],
      };
    case 'polygon':
      return { kind, width, height, sides: 6, radius: least / 12 };
    case 'scallop':
      return { kind, width, height, bows: 16, depth: least / 20 };
    case 'ticket':
      return { kind, width, height, notch: least / 7 };
    case 'shield':
      return { kind, width, height, point: height * 0.55 };
    case 'banner':
      return { kind, width, height, tail: Math.min(width * 0.15, height / 2) };
    case 'heart':
      return { kind, width, height, dip: height * 0.22 };
    case 'leaf':
      return { kind, width, height, belly: height * 0.45 };
  }
}
