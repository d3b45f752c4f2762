import * as z from 'zod';
import { isSame, onceForEach } from '../../base/index.ts';
import type { DrawingNode } from '../../drawing/index.ts';
import {
  edgeShapeSchema,
  insetShape,
  resizedShape,
  shapePath,
  shapeSize,
  type EdgeShape,
} from '../../shape/index.ts';
import { artOfFill, fillSchema, findPaint } from '../fill.ts';
import { emptyFrame, placeFields, type ElementKind } from './common.ts';
import { scaledStroke, stroked, strokeSchema } from './stroke.ts';

/** A plain or translucent shape, filled, lined or both: put behind words, or drawn as a ring. */
export const plateSchema = z.object({
  ...placeFields,
  kind: z.literal('plate'),
  shape: edgeShapeSchema,
  fill: z.object({ color: fillSchema, opacity: z.number().min(0).max(1) }).nullable(),
  line: strokeSchema.nullable(),
  /**
   * Follows the edge of its piece, so many mm inside it. With `to` it is the band between there and
   * that much further in.
   */
  rim: z
    .object({ inset: z.number().min(-20).max(200), to: z.number().min(0.1).max(200).optional() })
    .optional(),
});
export type Plate = z.infer<typeof plateSchema>;

/** The line so far inside an edge; asked for after every command, and the same for the same edge. */
const rimShape = onceForEach(insetShape);

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
  scaled(element, factor) {
    if (element.rim) return element; // it keeps to the edge in mm
    const { width, height } = plate.size(element);
    const made = plate.resized(element, width * factor, height * factor);
    return { ...made, line: scaledStroke(element.line, factor) };
  },
  title: ({ fill, rim, shape }) => ({
    code: fill && !rim ? 'plate' : 'ring',
    values: { shape: shape.kind },
  }),
  compile(element, context) {
    const { line, fill, rim } = element;
    const size = plate.size(element);
    const path = shapePath(element.shape);
    const inner = rim?.to === undefined ? [] : shapePath(insetShape(element.shape, rim.to));
    const paint = fill && findPaint(fill.color, size, context, fill.opacity);
    if (fill && !paint)
      return emptyFrame(
        size.width,
        size.height,
        artOfFill(fill.color).map((id) => ({ kind: 'art', id })),
      );
    const nodes: DrawingNode[] = [];
    if (fill && paint) {
      const filled: DrawingNode = {
        kind: 'path',
        path: [...path, ...inner],
        fill: paint,
        ...(inner.length ? { evenOdd: true } : {}),
      };
      nodes.push(
        paint.kind === 'solid' || fill.opacity === 1
          ? filled
          : { kind: 'group', opacity: fill.opacity, children: [filled] },
      );
    }
    if (line) {
      nodes.push(stroked(path, line, true));
      if (inner.length) nodes.push(stroked(inner, line, true));
      if (line.style === 'double')
        nodes.push(stroked(shapePath(element.shape, -2.5 * line.width), line, true));
    }
    return { nodes, ...size, needs: [] };
  },
};
