import { z } from 'zod';
import { solid, type PathNode } from '../../drawing/index.ts';
import { isSame } from '../../base/index.ts';
import type { Path } from '../../geometry/index.ts';
import {
  edgeShapeSchema,
  insetShape,
  resizedShape,
  shapePath,
  shapeSize,
  type EdgeShape,
} from '../../shape/index.ts';
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
      style: z.enum(['solid', 'dashed', 'dotted', 'double']),
    })
    .nullable(),
  /**
   * Follows the edge of its piece, so many mm inside it. With `to` it is the band between there and
   * that much further in.
   */
  rim: z
    .object({ inset: z.number().min(-20).max(200), to: z.number().min(0.1).max(200).optional() })
    .optional(),
});
export type Plate = z.infer<typeof plateSchema>;

type Line = NonNullable<Plate['line']>;

const DASHES: Readonly<Record<Line['style'], (width: number) => number[]>> = {
  solid: () => [],
  double: () => [],
  dashed: (width) => [4 * width, 3 * width],
  dotted: (width) => [0, 2.4 * width],
};

function stroked(path: Path, line: Line): PathNode {
  const dash = DASHES[line.style](line.width);
  return {
    kind: 'path',
    path,
    stroke: {
      paint: solid(line.color),
      width: line.width,
      ...(dash.length ? { dash } : {}),
      cap: line.style === 'dotted' ? 'round' : 'butt',
    },
  };
}

const rims = new WeakMap<EdgeShape, Map<number, EdgeShape>>();

/** The line so far inside an edge; asked for after every command, and the same for the same edge. */
function rimShape(edge: EdgeShape, inset: number): EdgeShape {
  const known = rims.get(edge) ?? new Map<number, EdgeShape>();
  rims.set(edge, known);
  const shape = known.get(inset) ?? insetShape(edge, inset);
  known.set(inset, shape);
  return shape;
}

/** A plate that keeps to the rim has the shape of the edge it is in. */
export function alongRim(plate: Plate, edge: EdgeShape): Plate {
  if (!plate.rim) return plate;
  const shape = rimShape(edge, plate.rim.inset);
  const placed = plate.x === 0 && plate.y === 0 && plate.angle === 0;
  return placed && isSame(shape, plate.shape) ? plate : { ...plate, shape, x: 0, y: 0, angle: 0 };
}

export const plate: ElementKind<Plate> = {
  size: ({ shape }) => shapeSize(shape),
  resized: (element, width, height) => ({
    ...element,
    shape: resizedShape(element.shape, width, height),
  }),
  title: ({ shape, fill, rim }) =>
    `${fill && !rim ? 'Plate' : 'Ring'}, ${shape.kind === 'circle' ? 'round' : shape.kind === 'ellipse' ? 'oval' : 'square'}`,
  compile(element) {
    const { line, fill, rim } = element;
    const path = shapePath(element.shape);
    const inner = rim?.to === undefined ? [] : shapePath(insetShape(element.shape, rim.to));
    const nodes: PathNode[] = [];
    if (fill)
      nodes.push({
        kind: 'path',
        path: [...path, ...inner],
        fill: solid(fill.color, fill.opacity),
        ...(inner.length ? { evenOdd: true } : {}),
      });
    if (line) {
      nodes.push(stroked(path, line));
      if (inner.length) nodes.push(stroked(inner, line));
      if (line.style === 'double')
        nodes.push(stroked(shapePath(element.shape, -2.5 * line.width), line));
    }
    return { nodes, ...plate.size(element), needs: [] };
  },
};
