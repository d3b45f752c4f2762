import type { Point } from '../geometry/index.ts';
import type { OutlineNode, OutlineShape } from './kinds/outline.ts';

type Rings = OutlineShape['rings'];

/** Which node of which ring, from 0. */
export interface NodePlace {
  readonly ring: number;
  readonly node: number;
}

/** Rings with one node another one, or none. */
function withNode(
  rings: Rings,
  { ring, node }: NodePlace,
  change: (now: OutlineNode) => readonly OutlineNode[],
): Rings {
  return rings.map((nodes, at) =>
    at === ring ? nodes.flatMap((one, index) => (index === node ? change(one) : [one])) : nodes,
  );
}

/** The node moved to a place, its handles with it. */
export function moveNode(rings: Rings, place: NodePlace, to: Point): Rings {
  return withNode(rings, place, (node) => {
    const [dx, dy] = [to.x - node.x, to.y - node.y];
    const moved = (at: Point): Point => ({ x: at.x + dx, y: at.y + dy });
    return [
      {
        ...moved(node),
        ...(node.before ? { before: moved(node.before) } : {}),
        ...(node.after ? { after: moved(node.after) } : {}),
      },
    ];
  });
}

/** One handle of a node moved; the other turns with it while `smooth`, and keeps its length. */
export function moveHandle(
  rings: Rings,
  place: NodePlace,
  { side, to, smooth }: { side: 'before' | 'after'; to: Point; smooth: boolean },
): Rings {
  const other = side === 'before' ? 'after' : 'before';
  return withNode(rings, place, (node) => {
    const far = node[other];
    const length = Math.hypot(to.x - node.x, to.y - node.y);
    const made = { ...node, [side]: to };
    if (!smooth || !far || length < 1e-9) return [made];
    const reach = Math.hypot(far.x - node.x, far.y - node.y) / length;
    return [
      {
        ...made,
        [other]: { x: node.x - (to.x - node.x) * reach, y: node.y - (to.y - node.y) * reach },
      },
    ];
  });
}

/** The ring without a node; a ring that has only three goes whole, unless it is the only one. */
export function removeNode(rings: Rings, place: NodePlace): Rings {
  const ring = rings[place.ring];
  if (!ring) return rings;
  if (ring.length > 3) return withNode(rings, place, () => []);
  return rings.length > 1 ? rings.filter((_, at) => at !== place.ring) : rings;
}

/** One more node in the middle of the way from a node to the next; the line stays as it is. */
export function splitAfter(rings: Rings, place: NodePlace): Rings {
  const ring = rings[place.ring] ?? [];
  const from = ring[place.node];
  const next = (place.node + 1) % ring.length;
  const to = ring[next];
  if (!from || !to) return rings;
  const middle = (one: Point, other: Point): Point => ({
    x: (one.x + other.x) / 2,
    y: (one.y + other.y) / 2,
  });
  if (!from.after && !to.before) {
    return withNode(rings, place, (node) => [node, middle(from, to)]);
  }
  // De Casteljau's construction at one half.
  const [one, two] = [from.after ?? from, to.before ?? to];
  const [a, b, c] = [middle(from, one), middle(one, two), middle(two, to)];
  const [d, e] = [middle(a, b), middle(b, c)];
  const nodes = ring.map((node, at): OutlineNode => {
    const before = at === next ? { before: c } : {};
    return { ...node, ...(at === place.node ? { after: a } : {}), ...before };
  });
  nodes.splice(place.node + 1, 0, { ...middle(d, e), before: d, after: e });
  return rings.map((old, at) => (at === place.ring ? nodes : old));
}

/** The node as a corner without handles, or smooth, with handles along the way past it. */
export function turnNode(rings: Rings, place: NodePlace, smooth: boolean): Rings {
  const ring = rings[place.ring] ?? [];
  const before = ring[(place.node + ring.length - 1) % ring.length];
  const after = ring[(place.node + 1) % ring.length];
  return withNode(rings, place, (node) => {
    if (!smooth || !before || !after) return [{ x: node.x, y: node.y }];
    const [dx, dy] = [after.x - before.x, after.y - before.y];
    const way = Math.hypot(dx, dy) || 1;
    const handle = (to: Point, sign: 1 | -1): Point => {
      const reach = (sign * Math.hypot(to.x - node.x, to.y - node.y)) / 3 / way;
      return { x: node.x + dx * reach, y: node.y + dy * reach };
    };
    return [{ x: node.x, y: node.y, before: handle(before, -1), after: handle(after, 1) }];
  });
}

/** Whether a node's handles lie on one line through it. */
export function isSmooth({ x, y, before, after }: OutlineNode): boolean {
  if (!before || !after) return false;
  const cross = (before.x - x) * (after.y - y) - (before.y - y) * (after.x - x);
  const size = Math.hypot(before.x - x, before.y - y) * Math.hypot(after.x - x, after.y - y);
  return Math.abs(cross) < 0.02 * size;
}
