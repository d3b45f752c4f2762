import type { DrawingNode, Paint } from './drawing.ts';

/** From a colour to the one in its place, both `#rrggbb`. */
type Recolor = (color: string) => string;

/** A paint in other colours; a named ink keeps its own. */
export function recoloredPaint(paint: Paint, recolor: Recolor): Paint {
  switch (paint.kind) {
    case 'solid':
      return { ...paint, color: recolor(paint.color) };
    case 'gradient':
      return {
        ...paint,
        stops: paint.stops.map((stop) => ({ ...stop, color: recolor(stop.color) })),
      };
    case 'tile':
      return { ...paint, nodes: paint.nodes.map((node) => recoloredNode(node, recolor)) };
    case 'ink':
      return paint;
  }
}

/** Shapes in other colours, those in groups too; whatever else is drawn stays as it is. */
export function recoloredNode(node: DrawingNode, recolor: Recolor): DrawingNode {
  if (node.kind === 'group')
    return { ...node, children: node.children.map((child) => recoloredNode(child, recolor)) };
  if (node.kind !== 'path') return node;
  const { fill, stroke } = node;
  return {
    ...node,
    ...(fill ? { fill: recoloredPaint(fill, recolor) } : {}),
    ...(stroke ? { stroke: { ...stroke, paint: recoloredPaint(stroke.paint, recolor) } } : {}),
  };
}
