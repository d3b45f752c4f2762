/** A point in mm, y down. */
export interface Point {
  readonly x: number;
  readonly y: number;
}

/** The map `(x, y) → (a·x + c·y + e, b·x + d·y + f)`, written as in SVG and PDF. */
export type Affine = readonly [a: number, b: number, c: number, d: number, e: number, f: number];

/** The map that leaves everything where it is. */
export const IDENTITY: Affine = [1, 0, 0, 1, 0, 0];

/** Moves by `x`, `y` mm. */
export function translation(x: number, y: number): Affine {
  return [1, 0, 0, 1, x, y];
}

/** Scales about the origin. */
export function scaling(x: number, y: number = x): Affine {
  return [x, 0, 0, y, 0, 0];
}

/** Turns about the origin by degrees, clockwise as seen on screen. */
export function rotation(degrees: number): Affine {
  const quarter = ((degrees % 360) + 360) % 360;
  if (quarter === 0) return IDENTITY;
  if (quarter === 90) return [0, 1, -1, 0, 0, 0];
  if (quarter === 180) return [-1, 0, 0, -1, 0, 0];
  if (quarter === 270) return [0, -1, 1, 0, 0, 0];
  const angle = (degrees * Math.PI) / 180;
  const cos = Math.cos(angle);
  const sin = Math.sin(angle);
  return [cos, sin, -sin, cos, 0, 0];
}

/**
 * The map that does `inner` first and then `outer`. It reads by number, as `apply` does: these run for
 * every point of a sheet, and taking a tuple apart makes an object for each of its numbers.
 */
export function compose(outer: Affine, inner: Affine): Affine {
  return [
    outer[0] * inner[0] + outer[2] * inner[1],
    outer[1] * inner[0] + outer[3] * inner[1],
    outer[0] * inner[2] + outer[2] * inner[3],
    outer[1] * inner[2] + outer[3] * inner[3],
    outer[0] * inner[4] + outer[2] * inner[5] + outer[4],
    outer[1] * inner[4] + outer[3] * inner[5] + outer[5],
  ];
}

/** The maps done one after the other: the first named is the last done, as in nested groups. */
export function nested(...maps: readonly Affine[]): Affine {
  return maps.reduce(compose, IDENTITY);
}

/** The place of a point under a map. */
export function apply(map: Affine, { x, y }: Point): Point {
  return { x: map[0] * x + map[2] * y + map[4], y: map[1] * x + map[3] * y + map[5] };
}

/** How many times as long lengths become under a map: the mean of all directions, by area. */
export const scaleOf = ([a, b, c, d]: Affine): number => Math.sqrt(Math.abs(a * d - b * c));

/** The map that undoes another; throws when the map flattens the plane. */
export function invert([a, b, c, d, e, f]: Affine): Affine {
  const area = a * d - b * c;
  if (Math.abs(area) < 1e-12) throw new RangeError('A map that flattens the plane has no inverse.');
  return [d / area, -b / area, -c / area, a / area, (c * f - d * e) / area, (b * e - a * f) / area];
}

/** A place, a turn and nothing else: how a copy lies on a sheet. */
export function placed(x: number, y: number, degrees: number): Affine {
  const turn = rotation(degrees);
  return [turn[0], turn[1], turn[2], turn[3], x, y];
}
