import { onceFor } from '../base/index.ts';
import { letterPaths, type Drawing, type DrawingNode, type GlyphsNode } from '../drawing/index.ts';
import type { Typeface } from '../type/index.ts';

/**
 * Makes drawings with letters as outlines: no typeface is needed to read them, and no words can be
 * searched. What drawings share they still share.
 * @param isOutlined of which typefaces; of all unless given
 */
export function outliner(
  typeface: (id: string) => Typeface | undefined,
  isOutlined: (id: string) => boolean = () => true,
): (drawing: Drawing) => Drawing {
  const all = onceFor((nodes: readonly DrawingNode[]): DrawingNode[] => nodes.map(outlined));
  const outlined = (node: DrawingNode): DrawingNode => {
    if (node.kind === 'group' || node.kind === 'shadow')
      return { ...node, children: all(node.children) };
    return node.kind === 'glyphs' && isOutlined(node.typeface)
      ? lettersOf(node, typeface(node.typeface))
      : node;
  };
  return (drawing) => ({
    ...drawing,
    nodes: all(drawing.nodes),
    symbols: Object.fromEntries(
      Object.entries(drawing.symbols).map(([id, nodes]) => [id, all(nodes)]),
    ),
  });
}

function lettersOf(node: GlyphsNode, typeface: Typeface | undefined): DrawingNode {
  const path = letterPaths(node, typeface).flat();
  const { fill, stroke } = node;
  return { kind: 'path', path, ...(fill ? { fill } : {}), ...(stroke ? { stroke } : {}) };
}
