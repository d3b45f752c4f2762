import { letterPaths, type Drawing, type DrawingNode, type GlyphsNode } from '../drawing/index.ts';
import type { Typeface } from '../type/index.ts';

/** A drawing with its letters as outlines: no typeface is needed to read it, and no words can be searched. */
export function outlinedDrawing(
  drawing: Drawing,
  typeface: (id: string) => Typeface | undefined,
): Drawing {
  const all = (nodes: readonly DrawingNode[]): DrawingNode[] => nodes.map(outlined);
  const outlined = (node: DrawingNode): DrawingNode => {
    if (node.kind === 'group' || node.kind === 'shadow')
      return { ...node, children: all(node.children) };
    return node.kind === 'glyphs' ? lettersOf(node, typeface(node.typeface)) : node;
  };
  return {
    ...drawing,
    nodes: all(drawing.nodes),
    symbols: Object.fromEntries(
      Object.entries(drawing.symbols).map(([id, nodes]) => [id, all(nodes)]),
    ),
  };
}

function lettersOf(node: GlyphsNode, typeface: Typeface | undefined): DrawingNode {
  const path = letterPaths(node, typeface).flat();
  const { fill, stroke } = node;
  return { kind: 'path', path, ...(fill ? { fill } : {}), ...(stroke ? { stroke } : {}) };
}
