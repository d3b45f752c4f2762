import {
  boxesMeet,
  boxOf,
  boxWithin,
  intersectionOf,
  corners,
  distanceToRings,
  grown,
  offsetRegion,
  type Box,
  type Ring,
} from '../geometry/index.ts';

/**
 * The distance between two outlines in mm, 0 where one reaches into the other by more than `within`.
 * Every side is held against every corner of the other: slow, and plain to see.
 */
export function distanceOfRings(one: Ring, other: Ring, within = 0.001): number {
  if (reachesInto(one, other, within)) return 0;
  return Math.min(fromCorners(one, other), fromCorners(other, one));
}

/** Whether two outlines cover each other by more than `within` mm. */
const reachesInto = (one: Ring, other: Ring, within: number): boolean =>
  offsetRegion(intersectionOf([one], [other]), -within / 2).length > 0;

const fromCorners = (points: Ring, ring: Ring): number =>
  points.reduce((least, point) => Math.min(least, distanceToRings(point, [ring])), Infinity);

/** What is wrong with outlines on a sheet, each by its number. */
export interface LayoutViolations {
  /** Those that leave the area. */
  readonly outside: readonly number[];
  /** Those that reach into what is taken. */
  readonly onTaken: readonly number[];
  /** Pairs that lie on each other, or nearer than the gap, with their distance in mm. */
  readonly near: readonly { readonly pair: readonly [number, number]; readonly distance: number }[];
}

/**
 * Holds every outline against the sheet and against every other one, with exact distances.
 * @param within by how much less than asked still counts as enough, mm
 */
export function findLayoutViolations(
  rings: readonly Ring[],
  { area, taken, gap }: { area: Box; taken: readonly Box[]; gap: number },
  within = 0.001,
): LayoutViolations {
  const boxes = rings.map((ring) => boxOf(ring) ?? { left: 0, top: 0, right: 0, bottom: 0 });
  const near = rings.flatMap((ring, at) =>
    rings.flatMap((other, to) => {
      if (to <= at || !boxesMeet(grown(boxes[at] as Box, gap), boxes[to] as Box)) return [];
      const distance = reachesInto(ring, other, within) ? -1 : distanceOfRings(ring, other, within);
      if (distance >= gap - within) return [];
      return [{ pair: [at, to] as const, distance: Math.max(0, distance) }];
    }),
  );
  return {
    outside: [...boxes.keys()].filter((at) => !boxWithin(boxes[at] as Box, grown(area, within))),
    onTaken: [...boxes.keys()].filter((at) =>
      taken.some((box) => reachesInto(rings[at] as Ring, corners(box), within)),
    ),
    near,
  };
}
