// How many equal rectangles a room can hold at most, upright and lying mixed.
//
// Sides are whole tenths of a µm; the gap is part of each side, and the room is one gap larger.
// The area of the room reduced to sides that rows can reach; F. Barnes (Packing the maximum number of
// m x n tiles in a large p x q rectangle, 1979); and efficient partitions (H. Isermann, 1987): along
// every level and every upright line only some mixtures of upright and lying fit.

/** Units to the mm. */
export const UNIT = 10_000;

export interface Size {
  readonly width: number;
  readonly height: number;
}

/** The sides of the rectangle, its gap with it, in units. */
export interface Sides {
  readonly a: number;
  readonly b: number;
}

/** A bound on how many rectangles fit into an empty room that they may be turned in; mm. */
export function mostRectangles(room: Size, rect: Size, gap: number): number {
  // No rectangle smaller and no room larger than it is: what is proved holds.
  const [width, height] = [atLeast(room.width + gap), atLeast(room.height + gap)];
  const sides = { a: atMost(rect.width + gap), b: atMost(rect.height + gap) };
  const lengths = reachable(sides.a, sides.b, Math.max(width, height));
  const [x, y] = [width, height].map((side) => lengths[reached(lengths, side)] ?? 0) as [
    number,
    number,
  ];
  return Math.min(mostByArea(sides, x, y), mostByPartitions(sides, x, y));
}

/** What a sum of decimals may be off by, units. */
const NOISE = 1e-3;

/** mm as units, not less than they are. */
export const atLeast = (mm: number): number => Math.ceil(mm * UNIT - NOISE);

/** mm as units, not more than they are. */
export const atMost = (mm: number): number => Math.floor(mm * UNIT + NOISE);

/** All sums of two sides up to a length, ascending. */
export function reachable(a: number, b: number, most: number): Int32Array {
  const found = new Set<number>();
  for (let one = 0; one <= most; one += a)
    for (let sum = one; sum <= most; sum += b) found.add(sum);
  return Int32Array.from(found).sort();
}

/** The position of the largest reachable length that is not longer. */
export function reached(lengths: Int32Array, length: number): number {
  let [low, high] = [0, lengths.length - 1];
  while (low < high) {
    const middle = (low + high + 1) >> 1;
    if ((lengths[middle] ?? 0) <= length) low = middle;
    else high = middle - 1;
  }
  return low;
}

/** By area, less what bars as long as either side must leave free (Barnes). */
export function mostByArea({ a, b }: Sides, x: number, y: number): number {
  let waste = 0;
  for (const side of [a, b]) {
    const [r, s] = [x % side, y % side];
    waste = Math.max(waste, Math.min(r * s, (side - r) * (side - s)));
  }
  return Math.floor((x * y - waste) / (a * b) + 1e-9);
}

/**
 * By efficient partitions: along every level line some mixture of both directions fits, and along
 * every upright line too; how many there are of each lies in what both sets of mixtures allow.
 */
function mostByPartitions({ a, b }: Sides, x: number, y: number): number {
  const level = envelope(mixtures(x, a, b).map(([i, j]) => [(i * y) / b, (j * y) / a]));
  const upright = envelope(mixtures(y, b, a).map(([m, k]) => [(m * x) / a, (k * x) / b]));
  let best = 0;
  for (let ofA = 0; ofA * a * b <= x * y; ofA++) {
    const ofB = Math.min(heightAt(level, ofA), heightAt(upright, ofA));
    if (ofB >= 0) best = Math.max(best, ofA + Math.floor(ofB + 1e-9));
  }
  return best;
}

type Corner = readonly [number, number];

/** For each number of the first side that fits along a length, how many of the other fit beside. */
const mixtures = (length: number, first: number, second: number): Corner[] =>
  Array.from({ length: Math.floor(length / first) + 1 }, (_, count) => [
    count,
    Math.floor((length - count * first) / second),
  ]);

/** The upper hull of points that go from left to right. */
function envelope(points: readonly Corner[]): Corner[] {
  const hull: Corner[] = [];
  for (const point of points) {
    for (;;) {
      const [from, last] = hull.slice(-2);
      if (!from || !last) break;
      const bend =
        (last[0] - from[0]) * (point[1] - from[1]) - (last[1] - from[1]) * (point[0] - from[0]);
      if (bend < 0) break;
      hull.pop();
    }
    hull.push(point);
  }
  return hull;
}

/** How high a hull is at a place; negative beyond its end. */
function heightAt(hull: readonly Corner[], at: number): number {
  for (let index = 0; index < hull.length; index++) {
    const [x, y] = hull[index] ?? [0, 0];
    if (at > x + 1e-9) continue;
    const [beforeX, beforeY] = hull[index - 1] ?? [x, y];
    return x === beforeX ? y : beforeY + ((y - beforeY) * (at - beforeX)) / (x - beforeX);
  }
  return -1;
}
