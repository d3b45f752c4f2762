import type { Point } from './affine.ts';

/** An upright rectangle in mm, y down. */
export interface Box {
  readonly left: number;
  readonly top: number;
  readonly right: number;
  readonly bottom: number;
}

/** The box of width and height about a centre. */
export function boxAbout(centre: Point, width: number, height: number): Box {
  return {
    left: centre.x - width / 2,
    top: centre.y - height / 2,
    right: centre.x + width / 2,
    bottom: centre.y + height / 2,
  };
}

/** The smallest box that holds all points; undefined for none. */
export const boxOf = (points: readonly Point[]): Box | undefined => boxOfRings([points]);

/** The smallest box that holds the points of all rings or lines; undefined for none. */
export function boxOfRings(rings: readonly (readonly Point[])[]): Box | undefined {
  let left = Infinity;
  let top = Infinity;
  let right = -Infinity;
  let bottom = -Infinity;
  for (const ring of rings)
    for (const { x, y } of ring) {
      if (x < left) left = x;
      if (x > right) right = x;
      if (y < top) top = y;
      if (y > bottom) bottom = y;
    }
  return left > right ? undefined : { left, top, right, bottom };
}

/** The smallest box that holds all boxes; undefined for none. */
export function boxAround(boxes: readonly Box[]): Box | undefined {
  return boxOf(
    boxes.flatMap((box) => [
      { x: box.left, y: box.top },
      { x: box.right, y: box.bottom },
    ]),
  );
}

/** The box grown by `by` mm on every side. */
export function grown(box: Box, by: number): Box {
  return {
    left: box.left - by,
    top: box.top - by,
    right: box.right + by,
    bottom: box.bottom + by,
  };
}

/** Whether two boxes share more than `slack` mm of room. */
export function boxesMeet(one: Box, other: Box, slack = 1e-6): boolean {
  return (
    one.left < other.right - slack &&
    other.left < one.right - slack &&
    one.top < other.bottom - slack &&
    other.top < one.bottom - slack
  );
}

/** Whether `inner` lies within `outer`, give or take `slack` mm. */
export function boxWithin(inner: Box, outer: Box, slack = 1e-6): boolean {
  return (
    inner.left >= outer.left - slack &&
    inner.top >= outer.top - slack &&
    inner.right <= outer.right + slack &&
    inner.bottom <= outer.bottom + slack
  );
}

/** The corners of a box, clockwise from the top left. */
export function corners(box: Box): Point[] {
  return [
    { x: box.left, y: box.top },
    { x: box.right, y: box.top },
    { x: box.right, y: box.bottom },
    { x: box.left, y: box.bottom },
  ];
}
