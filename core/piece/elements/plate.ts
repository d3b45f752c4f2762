import { z } from 'zod';
import { solid, type PathNode } from '../../drawing/index.ts';
import { edgeShapeSchema, resizedShape, shapePath, shapeSize } from '../../shape/index.ts';
import { color, placeFields, type ElementKind } from './common.ts';

/** A plain or translucent shape, filled, lined or both: put behind words, or drawn as a ring. */
export const plateSchema = z.object({
  ...placeFields,
  kind: z.literal('plate'),
  shape: edgeShapeSchema,
  fill: z.object({ color, opacity: z.number().min(0).max(1) }).nullable(),
  line: z
    .object({
      color,
      width: z.number().min(0.02).max(50),
      style: z.enum(['solid', 'dashed', 'dotted']),
    })
    .nullable(),
});
export type Plate = z.infer<typeof plateSchema>;

type Line = NonNullable<Plate['line']>;

const dash = ({ style, width }: Line): number[] =>
  style === 'solid' ? [] : style === 'dashed' ? [4 * width, 3 * width] : [0, 2.4 * width];

export const plate: ElementKind<Plate> = {
  size: ({ shape }) => shapeSize(shape),
  resized: (element, width, height) => ({
    ...element,
    shape: resizedShape(element.shape, width, height),
  }),
  title: ({ shape, fill }) =>
    `${fill ? 'Plate' : 'Ring'}, ${shape.kind === 'circle' ? 'round' : shape.kind === 'ellipse' ? 'oval' : 'square'}`,
  compile(element) {
    const { line, fill } = element;
    const node: PathNode = {
      kind: 'path',
      path: shapePath(element.shape),
      ...(fill ? { fill: solid(fill.color, fill.opacity) } : {}),
      ...(line
        ? {
            stroke: {
              paint: solid(line.color),
              width: line.width,
              ...(line.style === 'solid' ? {} : { dash: dash(line) }),
              cap: line.style === 'dotted' ? 'round' : 'butt',
            } as const,
          }
        : {}),
    };
    return { nodes: [node], ...plate.size(element), needs: [] };
  },
};
