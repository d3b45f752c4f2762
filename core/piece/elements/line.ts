import { latestFor, type ValueRule } from '../../base/index.ts';
import * as z from 'zod';
import type { DrawingNode } from '../../drawing/index.ts';
import { boxOfRings, flatten, type Box, type Path, type Point } from '../../geometry/index.ts';
import {
  isTangled,
  mapNodes,
  outlineNodeSchema,
  wayPath,
  type OutlineNode,
} from '../../shape/index.ts';
import { fillSchema, findPaint } from '../fill.ts';
import { placeFields, type ElementKind } from './common.ts';
import { scaledStroke, stroked, strokeSchema } from './stroke.ts';

/** A line or curve of one's own, through nodes about its middle, mm. */
export const lineSchema = z.object({
  ...placeFields,
  kind: z.literal('line'),
  nodes: z
    .array(outlineNodeSchema)
    .min(2)
    .max(2000)
    .refine((nodes) => !isTangled([nodes]), 'crossing-line' satisfies ValueRule),
  closed: z.boolean(),
  line: strokeSchema.nullable(),
  /** What fills it when it is closed. */
  fill: fillSchema.nullable(),
});
export type Line = z.infer<typeof lineSchema>;

const boxOfNodes = latestFor(
  (nodes: Line['nodes'], closed: boolean): Box =>
    boxOfRings(flatten(wayPath(nodes, closed))) ?? { left: 0, top: 0, right: 0, bottom: 0 },
);

const boxOfLine = ({ nodes, closed }: Line): Box => boxOfNodes(nodes, closed);

const LEAST = 0.1; // mm: a level line still has a box to be taken by

export const line: ElementKind<Line> = {
  size(element) {
    const { left, top, right, bottom } = boxOfLine(element);
    return { width: Math.max(LEAST, right - left), height: Math.max(LEAST, bottom - top) };
  },
  resized(element, width, height) {
    const now = line.size(element);
    const [x, y] = [
      now.width > LEAST ? width / now.width : 1,
      now.height > LEAST ? height / now.height : 1,
    ];
    const [nodes = element.nodes] = mapNodes([element.nodes], (at) => ({
      x: at.x * x,
      y: at.y * y,
    }));
    return { ...element, nodes };
  },
  scaled(element, factor) {
    const { width, height } = line.size(element);
    const made = line.resized(element, width * factor, height * factor);
    return { ...made, line: scaledStroke(element.line, factor) };
  },
  title: ({ closed }) => ({ code: closed ? 'drawn-shape' : 'drawn-line', values: {} }),
  compile(element, context) {
    const path = wayPath(element.nodes, element.closed);
    const size = line.size(element);
    const nodes: DrawingNode[] = [];
    const paint =
      element.fill && element.closed ? findPaint(element.fill, size, context) : undefined;
    if (paint) nodes.push({ kind: 'path', path, fill: paint });
    if (element.line) nodes.push(...doubled(path, element.line, element.closed));
    return { nodes, ...size, needs: [], reach: (element.line?.width ?? 0) * 2 };
  },
};

/** A double line is two of them side by side. */
function doubled(path: Path, style: NonNullable<Line['line']>, closed: boolean): DrawingNode[] {
  if (style.style !== 'double') return [stroked(path, style, closed)];
  const rings = flatten(path, 0.01);
  return [-1.25, 1.25].map((side) => stroked(besides(rings, side * style.width), style, false));
}

/** Lines beside others, so many mm to their right. */
function besides(lines: readonly (readonly Point[])[], by: number): Path {
  return lines.flatMap((points) =>
    points.map((point, at) => {
      const from = points[at - 1] ?? point;
      const to = points[at + 1] ?? point;
      const length = Math.hypot(to.x - from.x, to.y - from.y) || 1;
      return [
        at === 0 ? 'M' : 'L',
        point.x - ((to.y - from.y) / length) * by,
        point.y + ((to.x - from.x) / length) * by,
      ] as const;
    }),
  );
}

/** A line with its nodes moved so that they stand about its middle, and the place that this is. */
export function centredLine(
  nodes: readonly OutlineNode[],
  closed: boolean,
): { nodes: OutlineNode[]; centre: Point } {
  const box = boxOfRings(flatten(wayPath([...nodes], closed)));
  const centre = box
    ? { x: (box.left + box.right) / 2, y: (box.top + box.bottom) / 2 }
    : { x: 0, y: 0 };
  const [moved = []] = mapNodes([[...nodes]], ({ x, y }) => ({ x: x - centre.x, y: y - centre.y }));
  return { nodes: moved, centre };
}
