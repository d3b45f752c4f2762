import type { Point } from './affine.ts';
import { boxesMeet, boxOfRings, grown, type Box } from './box.ts';
import type { Ring } from './path.ts';

const { max, min, sqrt } = Math;

/** The area inside a ring in mm², positive when it runs clockwise as seen (y down). */
export function signedArea(ring: Ring): number {
  let twice = 0;
  let before = ring[ring.length - 1];
  for (const point of ring) {
    if (before) twice += before.x * point.y - point.x * before.y;
    before = point;
  }
  return twice / 2;
}

/** Rings as they are with the largest running clockwise as seen: all turned where it runs the other way. */
export function outlineFirstWay(rings: readonly Ring[]): readonly Ring[] {
  const largest = largestRing(rings);
  return signedArea(largest) < 0 ? rings.map((ring) => [...ring].reverse()) : rings;
}

/** The ring clockwise as seen, as outlines of regions run. */
export const clockwise = (ring: Ring): Ring => (signedArea(ring) < 0 ? [...ring].reverse() : ring);

/** The ring that encloses most; an empty one for none. */
export const largestRing = (rings: readonly Ring[]): Ring =>
  rings.reduce<Ring>(
    (most, ring) => (Math.abs(signedArea(ring)) > Math.abs(signedArea(most)) ? ring : most),
    [],
  );

/** Whether a point lies inside rings by the even-odd rule. */
export function isInside(point: Point, rings: readonly Ring[]): boolean {
  let inside = false;
  for (const ring of rings) {
    let before = ring[ring.length - 1];
    for (const at of ring) {
      if (before && at.y > point.y !== before.y > point.y) {
        const share = (point.y - at.y) / (before.y - at.y);
        if (point.x < at.x + share * (before.x - at.x)) inside = !inside;
      }
      before = at;
    }
  }
  return inside;
}

/** The distance in mm from a point to the line between two others. */
export function distanceToSegment(point: Point, from: Point, to: Point): number {
  const dx = to.x - from.x;
  const dy = to.y - from.y;
  const length = dx * dx + dy * dy;
  const along = length === 0 ? 0 : ((point.x - from.x) * dx + (point.y - from.y) * dy) / length;
  const t = min(1, max(0, along));
  const x = point.x - from.x - t * dx;
  const y = point.y - from.y - t * dy;
  return sqrt(x * x + y * y);
}

/** The distance in mm from a point to the nearest place on rings. */
export function distanceToRings(point: Point, rings: readonly Ring[]): number {
  let least = Infinity;
  for (const ring of rings) {
    let before = ring[ring.length - 1];
    for (const at of ring) {
      if (before) least = min(least, distanceToSegment(point, before, at));
      before = at;
    }
  }
  return least;
}

/**
 * The distance in mm between two sets of rings; negative where one reaches into the other, by how
 * deep the deepest corner or middle of a side lies, or by {@link CROSSED} where only sides cross.
 * Found from the corners of each against the sides of the other, which is exact where they do not meet.
 * @param within what is farther apart is told as that far
 */
export function distanceBetween(
  one: readonly Ring[],
  other: readonly Ring[],
  within = Infinity,
): number {
  const [box, otherBox] = [boxOfRings(one), boxOfRings(other)];
  if (!box || !otherBox) return Infinity;
  const [a, b] = [
    { rings: one, box },
    { rings: other, box: otherBox },
  ];
  const least = min(cornersAgainst(a, b, within), cornersAgainst(b, a, within));
  return least > -CROSSED && sidesCross(a, b) ? -CROSSED : least;
}

/** Rings with the box around them all. */
interface Boxed {
  readonly rings: readonly Ring[];
  readonly box: Box;
}

/** How deep outlines reach into each other at least whose sides cross, mm. */
const CROSSED = 0.05;

/** Whether a side of one crosses a side of the other; to touch it is not enough. */
function sidesCross(one: Boxed, other: Boxed): boolean {
  if (!boxesMeet(one.box, other.box, CROSSED)) return false;
  const near = sidesIn(other.rings, one.box);
  return sidesIn(one.rings, other.box).some(([a, b]) =>
    near.some(([c, d]) => turn(a, b, c) * turn(a, b, d) < 0 && turn(c, d, a) * turn(c, d, b) < 0),
  );
}

/** On which side of a line a point lies: twice the area of the triangle, 0 for as good as on it. */
function turn(from: Point, to: Point, at: Point): number {
  const area = (to.x - from.x) * (at.y - from.y) - (to.y - from.y) * (at.x - from.x);
  return area > -1e-6 && area < 1e-6 ? 0 : area;
}

function sidesIn(rings: readonly Ring[], box: Box): (readonly [Point, Point])[] {
  const sides: (readonly [Point, Point])[] = [];
  for (const ring of rings) {
    let before = ring[ring.length - 1];
    for (const at of ring) {
      if (before && boxesMeet(box, sideBox(before, at), 0)) sides.push([before, at]);
      before = at;
    }
  }
  return sides;
}

function cornersAgainst(
  { rings, box: own }: Boxed,
  { rings: others, box }: Boxed,
  within: number,
): number {
  const reach = grown(own, within);
  const sides = sidesIn(others, reach);
  let least = within;
  for (const [from, to] of boxesMeet(own, box, 0) ? sidesIn(rings, box) : []) {
    const middle = { x: (from.x + to.x) / 2, y: (from.y + to.y) / 2 };
    if (isInside(middle, others)) least = min(least, -distanceToRings(middle, others));
  }
  for (const ring of rings)
    for (const point of ring) {
      const out = max(
        box.left - point.x,
        point.x - box.right,
        box.top - point.y,
        point.y - box.bottom,
      );
      if (out > least) continue;
      if (out <= 0 && isInside(point, others)) least = min(least, -distanceToRings(point, others));
      else for (const [from, to] of sides) least = min(least, distanceToSegment(point, from, to));
    }
  return least;
}

const sideBox = (from: Point, to: Point): Box => ({
  left: min(from.x, to.x),
  top: min(from.y, to.y),
  right: max(from.x, to.x),
  bottom: max(from.y, to.y),
});

/** The stretches of a straight line that lie inside rings, in its direction. */
export function insideParts(
  [from, to]: readonly [Point, Point],
  rings: readonly Ring[],
): [Point, Point][] {
  const [dx, dy] = [to.x - from.x, to.y - from.y];
  const shares = [0, 1];
  for (const ring of rings) {
    let before = ring[ring.length - 1];
    for (const at of ring) {
      const [ex, ey] = before ? [at.x - before.x, at.y - before.y] : [0, 0];
      const cross = dx * ey - dy * ex;
      if (before && Math.abs(cross) > 1e-12) {
        const [ox, oy] = [before.x - from.x, before.y - from.y];
        const along = (ox * ey - oy * ex) / cross;
        const across = (ox * dy - oy * dx) / cross;
        if (along > 0 && along < 1 && across >= 0 && across < 1) shares.push(along);
      }
      before = at;
    }
  }
  shares.sort((one, other) => one - other);
  const place = (share: number): Point => ({ x: from.x + dx * share, y: from.y + dy * share });
  return shares.slice(1).flatMap((end, at): [Point, Point][] => {
    const start = shares[at] as number;
    const inside = end - start > 1e-9 && isInside(place((start + end) / 2), rings);
    return inside ? [[place(start), place(end)]] : [];
  });
}
