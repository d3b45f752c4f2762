import type { Point } from './affine.ts';
import type { Ring } from './path.ts';

const { abs, hypot } = Math;

/**
 * The ring with fewer points, none of those left out farther than `by` mm from the line without it.
 * Source: Douglas & Peucker (1973), from the two points that lie farthest apart along the ring.
 */
export function simplifiedRing(ring: Ring, by: number): Point[] {
  if (ring.length < 4) return [...ring];
  const half = ring.length >> 1;
  const kept = [...keptOf(ring, 0, half, by), ...keptOf(ring, half, ring.length, by)];
  return kept.flatMap((at) => ring[at] ?? []);
}

/** Which points between two of them stay; the first one does, the last belongs to what follows. */
function keptOf(ring: Ring, from: number, to: number, by: number): number[] {
  const [a, b] = [ring[from], ring[to % ring.length]];
  if (!a || !b) return [];
  const length = hypot(b.x - a.x, b.y - a.y);
  let far = by;
  let split = -1;
  for (let at = from + 1; at < to; at++) {
    const { x, y } = ring[at] ?? a;
    const off = length
      ? abs((b.x - a.x) * (a.y - y) - (a.x - x) * (b.y - a.y)) / length
      : hypot(x - a.x, y - a.y);
    if (off > far) {
      far = off;
      split = at;
    }
  }
  return split < 0 ? [from] : [...keptOf(ring, from, split, by), ...keptOf(ring, split, to, by)];
}
