import {
  difference as cut,
  EndType,
  FillRule,
  inflatePaths,
  intersect,
  JoinType,
  union as join,
  type Paths64,
} from 'clipper2-ts';
import type { Point } from './affine.ts';
import type { Ring } from './path.ts';

// Regions are rings under the non-zero rule, worked out on a grid of 0.1 µm.
const GRID = 10_000;

/** How the corners of an offset are made. */
export type CornerStyle = 'round' | 'mitre' | 'bevel';

const JOINS: Record<CornerStyle, JoinType> = {
  round: JoinType.Round,
  mitre: JoinType.Miter,
  bevel: JoinType.Bevel,
};

const toGrid = (rings: readonly Ring[]): Paths64 =>
  rings.map((ring) =>
    ring.map(({ x, y }) => ({ x: Math.round(x * GRID), y: Math.round(y * GRID) })),
  );
const fromGrid = (paths: Paths64): Ring[] =>
  paths.map((path) => path.map(({ x, y }) => ({ x: x / GRID, y: y / GRID })));

/**
 * The region grown by `by` mm (shrunk when negative). Round corners leave the true arc by at most
 * 2 µm. Source: A. Johnson's polygon offsetting, by the clipper library.
 */
export function offsetRegion(
  rings: readonly Ring[],
  by: number,
  corners: CornerStyle = 'round',
): Ring[] {
  const solid = join(toGrid(rings), FillRule.NonZero);
  return fromGrid(inflatePaths(solid, by * GRID, JOINS[corners], EndType.Polygon, 4, 0.002 * GRID));
}

/** What is in the first region and not in the second. */
export function differenceOf(one: readonly Ring[], other: readonly Ring[]): Ring[] {
  return fromGrid(cut(toGrid(one), toGrid(other), FillRule.NonZero));
}

/** What is in either region. Outlines run clockwise as seen (y down), holes the other way. */
export function unionOf(...regions: readonly (readonly Ring[])[]): Ring[] {
  return fromGrid(join(toGrid(regions.flat()), FillRule.NonZero));
}

/** What rings enclose under the even-odd rule, as a region. */
export function evenOddRegion(rings: readonly Ring[]): Ring[] {
  return fromGrid(join(toGrid(rings), FillRule.EvenOdd));
}

/** What is in both regions. */
export function intersectionOf(one: readonly Ring[], other: readonly Ring[]): Ring[] {
  return fromGrid(intersect(toGrid(one), toGrid(other), FillRule.NonZero));
}

/** What a line of a width covers, with its ends and joins. */
export function strokedRegion(
  lines: readonly (readonly Point[])[],
  {
    width,
    closed,
    cap,
    corners,
  }: {
    width: number;
    closed: boolean;
    cap: 'butt' | 'round' | 'square';
    corners: CornerStyle;
  },
): Ring[] {
  const caps = { butt: EndType.Butt, round: EndType.Round, square: EndType.Square };
  const end = closed ? EndType.Joined : caps[cap];
  return fromGrid(
    inflatePaths(toGrid(lines), (width / 2) * GRID, JOINS[corners], end, 4, 0.002 * GRID),
  );
}
