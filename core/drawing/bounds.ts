import {
  apply,
  boxAround,
  boxOf,
  corners,
  grown,
  type Affine,
  type Box,
  type Path,
  type Point,
} from '../geometry/index.ts';
import type { DrawingNode } from './drawing.ts';

/** A box that surely holds nodes, mm; undefined when they draw nothing. Symbols are taken as huge. */
export function findBounds(nodes: readonly DrawingNode[]): Box | undefined {
  return boxAround(nodes.flatMap((node) => nodeBounds(node) ?? []));
}

/** How many standard deviations of its blur a shadow reaches. */
export const SHADOW_REACH = 3;

const HUGE: Box = { left: -4000, top: -4000, right: 4000, bottom: 4000 };

function nodeBounds(node: DrawingNode): Box | undefined {
  switch (node.kind) {
    case 'group': {
      const box = node.clip ? pathBox(node.clip) : findBounds(node.children);
      return box && mapped(box, node.transform);
    }
    case 'path': {
      const box = pathBox(node.path);
      return box && grown(box, (node.stroke?.width ?? 0) * 2);
    }
    case 'glyphs': {
      const box = boxOf(node.glyphs);
      return box && grown(box, node.size * 3 + (node.stroke?.width ?? 0));
    }
    case 'shadow': {
      const box = findBounds(node.children);
      return box && grown(box, node.blur * SHADOW_REACH);
    }
    case 'image':
      return mapped({ left: 0, top: 0, right: 1, bottom: 1 }, node.map);
    case 'use':
      return HUGE;
  }
}

function pathBox(path: Path): Box | undefined {
  const points: Point[] = [];
  for (const step of path) {
    for (let at = 1; at + 1 < step.length; at += 2)
      points.push({ x: step[at] as number, y: step[at + 1] as number });
  }
  return boxOf(points);
}

function mapped(box: Box, map: Affine | undefined): Box | undefined {
  return map ? boxOf(corners(box).map((corner) => apply(map, corner))) : box;
}
