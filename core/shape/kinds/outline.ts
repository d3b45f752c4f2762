import { onceFor, type ValueRule } from '../../base/index.ts';
import * as z from 'zod';
import {
  boxOfRings,
  countCrossings,
  fitCurves,
  flatten,
  offsetRegion,
  ringsPath,
  type Path,
  type PathStep,
  type Point,
} from '../../geometry/index.ts';
import type { ShapeKind } from './kind.ts';

const place = z.number().min(-2000).max(2000);
const point = z.object({ x: place, y: place });

/** How many points all rings of an outline may have together. */
export const MOST_OUTLINE_POINTS = 10_000;

/**
 * A point of an outline. The way to its neighbours is straight, or a cubic curve where it has a
 * handle: `before` towards the point before it, `after` towards the next.
 */
export const outlineNodeSchema = z.object({
  x: place,
  y: place,
  before: point.optional(),
  after: point.optional(),
});
export type OutlineNode = z.infer<typeof outlineNodeSchema>;

/** How often a line may cross itself: more is noise, and takes forever to be made an outline. */
const MOST_CROSSINGS = 2000;

/** Whether lines through nodes cross each other too often to be made an outline. */
export const isTangled = (rings: readonly (readonly OutlineNode[])[]): boolean =>
  countCrossings(rings, MOST_CROSSINGS) >= MOST_CROSSINGS;

/** Any outline, as rings of nodes about the middle of its box, mm; later rings may be holes. */
export const outlineSchema = z
  .object({
    kind: z.literal('outline'),
    rings: z.array(z.array(outlineNodeSchema).min(2)).min(1),
  })
  .refine(
    ({ rings }) => rings.reduce((sum, ring) => sum + ring.length, 0) <= MOST_OUTLINE_POINTS,
    'outline-points' satisfies ValueRule,
  )
  .refine(({ rings }) => !isTangled(rings), 'crossing-outline' satisfies ValueRule);
export type OutlineShape = z.infer<typeof outlineSchema>;

type Rings = OutlineShape['rings'];

/** The path through the nodes of rings. */
export const nodesPath = (rings: Rings): Path => rings.flatMap((ring) => wayPath(ring, true));

/** The path through nodes one after the other, and back to the first when it is closed. */
export function wayPath(nodes: readonly OutlineNode[], closes: boolean): Path {
  const [first] = nodes;
  if (!first) return [];
  const curved = first.before !== undefined || nodes[nodes.length - 1]?.after !== undefined;
  const way = closes && curved ? [...nodes.slice(1), first] : nodes.slice(1);
  const steps = way.map((node, index): PathStep => {
    const from = nodes[index] ?? first;
    const { after = from } = from;
    const { before = node } = node;
    return after === from && before === node
      ? ['L', node.x, node.y]
      : ['C', after.x, after.y, before.x, before.y, node.x, node.y];
  });
  return [['M', first.x, first.y], ...steps, ...(closes ? [['Z'] as const] : [])];
}

/** The nodes along a path, a ring each, or an open line: its steps are lines and cubic curves. */
export function pathNodes(path: Path, closing = true): Rings {
  const rings: OutlineNode[][] = [];
  for (const step of path) {
    const ring = rings[rings.length - 1] ?? [];
    const last = ring[ring.length - 1];
    if (step[0] === 'M') rings.push([{ x: step[1], y: step[2] }]);
    else if (step[0] === 'L') ring.push({ x: step[1], y: step[2] });
    else if (step[0] === 'C' && last) {
      last.after = { x: step[1], y: step[2] };
      ring.push({ x: step[5], y: step[6], before: { x: step[3], y: step[4] } });
    }
  }
  return (closing ? rings.map(closed) : rings).filter((ring) => ring.length > 1);
}

/** A ring whose last node is not its first one over again. */
function closed(ring: OutlineNode[]): OutlineNode[] {
  const [first] = ring;
  const last = ring[ring.length - 1];
  if (!first || !last || first === last) return ring;
  if (Math.hypot(first.x - last.x, first.y - last.y) > 1e-6) return ring;
  const joined = last.before ? { ...first, before: last.before } : first;
  return [joined, ...ring.slice(1, -1)];
}

/** Rings of nodes moved so that the middle of their box is at (0, 0), and where that middle was. */
export function centredOutline(rings: Rings): { shape: OutlineShape; centre: Point } {
  const box = boxOfRings(flatten(nodesPath(rings)));
  const centre = box
    ? { x: (box.left + box.right) / 2, y: (box.top + box.bottom) / 2 }
    : { x: 0, y: 0 };
  const moved = (at: Point): Point => ({ x: at.x - centre.x, y: at.y - centre.y });
  return { shape: { kind: 'outline', rings: mapNodes(rings, moved) }, centre };
}

/** Nodes with their handles under a map. */
export function mapNodes(rings: Rings, map: (at: Point) => Point): Rings {
  return rings.map((ring) =>
    ring.map((node) => ({
      ...map(node),
      ...(node.before ? { before: map(node.before) } : {}),
      ...(node.after ? { after: map(node.after) } : {}),
    })),
  );
}

/** Asked for by every layout, so the curves of an outline are followed for it only once. */
const sizeOf = onceFor((rings: Rings): { width: number; height: number } => {
  const box = boxOfRings(flatten(nodesPath(rings))) ?? { left: 0, top: 0, right: 0, bottom: 0 };
  return { width: box.right - box.left, height: box.bottom - box.top };
});

/** The line `by` mm inside a path, with sharp corners; undefined when nothing is left of it. */
export function findInner(path: Path, by: number): OutlineShape | undefined {
  const rings = offsetRegion(flatten(path, 0.005), -by, 'mitre');
  const inner = fitCurves(rings, { tolerance: 0.01, blur: 0 }).path;
  return inner.length ? { kind: 'outline', rings: pathNodes(inner) } : undefined;
}

export const outline: ShapeKind<OutlineShape> = {
  size: ({ rings }) => sizeOf(rings),
  path: ({ rings }, by) => {
    const exact = nodesPath(rings);
    return by === 0 ? exact : ringsPath(offsetRegion(flatten(exact, 0.005), by));
  },
  resized(shape, width, height) {
    const now = sizeOf(shape.rings);
    const [x, y] = [width / now.width, height / now.height];
    return { ...shape, rings: mapNodes(shape.rings, (at) => ({ x: at.x * x, y: at.y * y })) };
  },
};
