import * as z from 'zod';
import { err, ok, type Result } from '../base/index.ts';
import {
  intersectionOf,
  countCrossings,
  compose,
  differenceOf,
  clockwise,
  distanceToRings,
  ellipsePath,
  evenOddRegion,
  fitCurves,
  flatten,
  isInside,
  mapPath,
  mapRing,
  offsetRegion,
  placed,
  rectanglePath,
  outlineFirstWay,
  signedArea,
  simplifiedRing,
  unionOf,
  type Path,
  type Point,
  type Ring,
} from '../geometry/index.ts';
import { centredOutline, pathNodes } from './kinds/outline.ts';
import { edgeShapeSchema, shapePath, shapeSize, type EdgeShape } from './shape.ts';

const place = z.number().min(-2000).max(2000);

/** A hole that is punched: round when both sides are equal, else a slot with round ends; mm, degrees. */
export const punchedSchema = z.object({
  x: place,
  y: place,
  width: z.number().min(0.5).max(500),
  height: z.number().min(0.5).max(500),
  angle: z.number(),
});
export type Punched = z.infer<typeof punchedSchema>;

const partSchema = z.object({
  /** Added to what comes before, cut away from it, or kept where both are. The first one is there. */
  use: z.enum(['add', 'cut', 'common']),
  /** How it is called in lists. */
  name: z.string().min(1).max(200),
  shape: edgeShapeSchema,
  x: place,
  y: place,
  angle: z.number(),
});
export type EdgePart = z.infer<typeof partSchema>;

/**
 * How an edge is made: shapes put together, then offset. Lengths in mm about the middle of the piece.
 * Kept beside the edge that it gives, so that every choice can be changed later.
 */
export const edgeBuildSchema = z.object({
  parts: z.array(partSchema).min(1).max(60),
  /** Outwards, or inwards when negative. */
  offset: z.number().min(-50).max(50),
  corners: z.enum(['round', 'mitre', 'bevel']),
  holes: z.enum(['keep', 'fill', 'fill-small']),
  /** Holes below this area go under `fill-small`, mm². */
  smallHole: z.number().min(0).max(10_000),
  /** How separate parts become one: not at all, by a larger offset, or by bridges. */
  join: z.enum(['apart', 'offset', 'bridge']),
  /** mm */
  bridge: z.number().min(0.3).max(50),
  /** The smallest radius of an inner corner, for a knife that has to turn in it. */
  innerRadius: z.number().min(0).max(20),
  /** Bumps and dents finer than this are smoothed away. */
  smooth: z.number().min(0).max(20),
  punched: z.array(punchedSchema).max(40),
});
export type EdgeBuild = z.infer<typeof edgeBuildSchema>;

/** A build of one shape as it is. */
export function plainBuild(shape: EdgeShape, name: string): EdgeBuild {
  return {
    parts: [{ use: 'add', name, shape, x: 0, y: 0, angle: 0 }],
    offset: 0,
    corners: 'round',
    holes: 'keep',
    smallHole: 20,
    join: 'apart',
    bridge: 2,
    innerRadius: 0,
    smooth: 0,
    punched: [],
  };
}

/**
 * The edge of a sticker around a traced picture unless something else is chosen: one part with a rim, and
 * dents as fine as it rounded away. Smoothed by no more than the rim, it leaves nothing of the picture outside.
 */
export const STICKER_EDGE = {
  offset: 2,
  smooth: 2,
  holes: 'fill',
  join: 'offset',
} as const satisfies Partial<EdgeBuild>;

/** An edge that was built. */
export interface BuiltEdge {
  readonly shape: EdgeShape;
  /** Where the middle of the edge's box lies in the build. */
  readonly centre: Point;
  /** Separate outlines. */
  readonly parts: number;
  readonly holes: number;
  readonly nodes: number;
  /** The offset that was needed to join the parts, where it is more than was asked for; mm. */
  readonly joinedBy: number | undefined;
}

const FLAT = 0.004; // mm
const FIT = { tolerance: 0.012, blur: 0 };
/** Of its longer side: what is larger than a sheet is followed as closely as its size is worth. */
const FINENESS = 2e-5;

/** How many times more coarsely than usual a shape of that size is followed. */
function coarseness(shape: EdgeShape): number {
  const { width, height } = shapeSize(shape);
  return Math.max(1, (Math.max(width, height) * FINENESS) / FLAT);
}

/** Makes an edge. Fails where nothing is left of it. */
export function buildEdge(build: EdgeBuild): Result<BuiltEdge> {
  const untouched = findUntouched(build);
  if (untouched) return ok(untouched);
  let region = withHoles(combined(build.parts), build);
  if (build.join === 'bridge') region = bridged(region, build.bridge);
  const grown = joinedOffset(region, build);
  region = smoothed(grown.region, build);
  for (const hole of build.punched)
    region = differenceOf(region, flatten(punchedPath(hole), FLAT).map(clockwise));
  region = region.filter((ring) => Math.abs(signedArea(ring)) > 0.01);
  if (region.length === 0) return err('edge/nothing-left', {});
  const tolerance = FIT.tolerance * Math.max(...build.parts.map(({ shape }) => coarseness(shape)));
  const { path, nodes } = fitCurves(region, { ...FIT, tolerance });
  const { shape, centre } = centredOutline(pathNodes(path));
  const read = edgeShapeSchema.safeParse(shape);
  if (!read.success) return err('edge/too-fine', {});
  return ok({
    shape: read.data,
    centre,
    parts: region.filter((ring) => signedArea(ring) > 0).length,
    holes: region.filter((ring) => signedArea(ring) < 0).length,
    nodes,
    joinedBy: grown.joinedBy,
  });
}

/** How far what a build is made from lies outside of the edge that it gave, at most, mm. */
export function leftOutside({ parts }: EdgeBuild, edge: EdgeShape): number {
  const rings = flatten(shapePath(edge), FLAT * coarseness(edge));
  const outside = differenceOf(combined(parts), outlineFirstWay(rings));
  return outside.flat().reduce((most, point) => Math.max(most, distanceToRings(point, rings)), 0);
}

/** A shape alone, with nothing done to it, stays what it is. */
function findUntouched(build: EdgeBuild): BuiltEdge | undefined {
  const [part, ...others] = build.parts;
  const plain =
    part &&
    others.length === 0 &&
    part.angle === 0 &&
    build.offset === 0 &&
    build.innerRadius === 0 &&
    build.smooth === 0 &&
    build.punched.length === 0;
  if (!plain) return undefined;
  const rings = outlineFirstWay(flatten(shapePath(part.shape), FLAT * coarseness(part.shape)));
  const parts = rings.filter((ring) => signedArea(ring) > 0).length;
  const touched =
    (build.holes !== 'keep' && parts < rings.length) || (build.join !== 'apart' && parts > 1);
  if (touched) return undefined;
  const nodes = shapePath(part.shape).filter(([kind]) => kind !== 'Z' && kind !== 'M').length;
  return {
    shape: part.shape,
    centre: { x: part.x, y: part.y },
    parts,
    holes: rings.length - parts,
    nodes,
    joinedBy: undefined,
  };
}

/** The rings of a part at its place. */
export function partRings({ shape, x, y, angle }: EdgePart): Ring[] {
  const rings = flatten(shapePath(shape), FLAT * coarseness(shape));
  const map = placed(x, y, angle);
  return unionOf(rings.map((ring) => mapRing(ring, map)));
}

function combined(parts: readonly EdgePart[]): Ring[] {
  return parts.reduce<Ring[]>((region, part, index) => {
    const rings = partRings(part);
    if (index === 0 || part.use === 'add') return unionOf(region, rings);
    return part.use === 'cut' ? differenceOf(region, rings) : intersectionOf(region, rings);
  }, []);
}

function withHoles(region: readonly Ring[], { holes, smallHole }: EdgeBuild): Ring[] {
  return region.filter((ring) => {
    const area = signedArea(ring);
    return area > 0 || holes === 'keep' || (holes === 'fill-small' && -area >= smallHole);
  });
}

const outers = (region: readonly Ring[]): Ring[] => region.filter((ring) => signedArea(ring) > 0);

/** The region offset as asked for, or by more where that is what joins its parts. */
function joinedOffset(
  region: readonly Ring[],
  { offset, corners, join, holes }: EdgeBuild,
): { region: Ring[]; joinedBy: number | undefined } {
  const by = (mm: number): Ring[] => {
    const grown = mm === 0 ? [...region] : offsetRegion(region, mm, corners);
    return holes === 'fill' ? outers(grown) : grown;
  };
  const asked = by(offset);
  if (join !== 'offset' || outers(asked).length < 2) return { region: asked, joinedBy: undefined };
  let low = offset;
  let high = Math.max(1, offset * 2);
  while (outers(by(high)).length > 1 && high < 200) high *= 2;
  for (let round = 0; round < 12; round++) {
    const middle = (low + high) / 2;
    if (outers(by(middle)).length > 1) low = middle;
    else high = middle;
  }
  // A neck of nothing would tear: a little more than what just touches.
  const joinedBy = Math.ceil((high + 0.15) * 100) / 100;
  return { region: by(joinedBy), joinedBy };
}

function smoothed(region: readonly Ring[], { innerRadius, smooth }: EdgeBuild): Ring[] {
  const inner = Math.max(innerRadius, smooth);
  const ways = [inner, -inner, -smooth, smooth].filter((by) => by !== 0);
  return ways.reduce((made, by) => offsetRegion(made.map(thinned), by), [...region]);
}

/** Each offset puts points on every arc: without what nobody would see the next one is many times as fast. */
const UNSEEN = 0.002; // mm
const thinned = (ring: Ring): Ring => simplifiedRing(ring, UNSEEN);

/** Parts joined by bridges along the shortest ways between them. Source: Prim's spanning tree. */
function bridged(region: readonly Ring[], width: number): Ring[] {
  const parts = outers(region).map((ring) => simplifiedRing(ring, 0.05));
  const [first, ...waiting] = parts;
  if (!first) return [...region];
  const joined = [first];
  const bridges: Ring[] = [];
  while (waiting.length > 0) {
    let nearest: { from: Point; to: Point; way: number; at: number } | undefined;
    waiting.forEach((ring, at) => {
      for (const other of joined) {
        const found = shortestWay(other, ring);
        if (!nearest || found.way < nearest.way) nearest = { ...found, at };
      }
    });
    if (!nearest) break;
    bridges.push(bridgeRing(nearest, width));
    joined.push(...waiting.splice(nearest.at, 1));
  }
  return unionOf(region, bridges);
}

function shortestWay(one: Ring, other: Ring): { from: Point; to: Point; way: number } {
  let best = { from: one[0] as Point, to: other[0] as Point, way: Infinity };
  const seek = (points: Ring, ring: Ring, turned: boolean): void => {
    for (const point of points) {
      let before = ring[ring.length - 1] as Point;
      for (const at of ring) {
        const found = nearestOn(point, before, at);
        const way = Math.hypot(found.x - point.x, found.y - point.y);
        if (way < best.way)
          best = turned ? { from: found, to: point, way } : { from: point, to: found, way };
        before = at;
      }
    }
  };
  seek(one, other, false);
  seek(other, one, true);
  return best;
}

function nearestOn(point: Point, from: Point, to: Point): Point {
  const [dx, dy] = [to.x - from.x, to.y - from.y];
  const length = dx * dx + dy * dy;
  const along = length === 0 ? 0 : ((point.x - from.x) * dx + (point.y - from.y) * dy) / length;
  const share = Math.min(1, Math.max(0, along));
  return { x: from.x + share * dx, y: from.y + share * dy };
}

function bridgeRing({ from, to }: { from: Point; to: Point }, width: number): Ring {
  const way = Math.hypot(to.x - from.x, to.y - from.y) || 1;
  const angle = (Math.atan2(to.y - from.y, to.x - from.x) * 180) / Math.PI;
  const path = rectanglePath({ x: 0, y: 0 }, way + 2 * width, width);
  const middle = placed((from.x + to.x) / 2, (from.y + to.y) / 2, angle);
  return clockwise(flatten(mapPath(path, middle))[0] ?? []);
}

/** The outline of a punched hole. */
export function punchedPath({ x, y, width, height, angle }: Punched): Path {
  const path =
    width === height
      ? ellipsePath({ x: 0, y: 0 }, width / 2, height / 2)
      : rectanglePath({ x: 0, y: 0 }, width, height, Math.min(width, height) / 2);
  return mapPath(path, compose(placed(x, y, 0), placed(0, 0, angle)));
}

/**
 * The least material in mm between a punched hole and the outline around it; negative where the hole
 * breaks through.
 * @param edge the outline without this hole
 */
export function rimOf(hole: Punched, edge: readonly Ring[]): number {
  const points = flatten(punchedPath(hole), 0.02)[0] ?? [];
  return points.reduce((least, point) => {
    const away = distanceToRings(point, edge);
    return Math.min(least, isInside(point, edge) ? away : -away);
  }, Infinity);
}

/** Lines that cross each other so often are no outline. */
const TANGLED = 5000;

/** What lines enclose by the even-odd rule or the non-zero rule, as the outline of a part. */
export function outlinePart(
  paths: readonly Path[],
  { evenOdd, name }: { evenOdd: boolean; name: string },
): Result<EdgePart> {
  const rings = paths.flatMap((path) => flatten(path, FLAT));
  if (countCrossings(rings, TANGLED) >= TANGLED) return err('edge/tangled', { name });
  const region = evenOdd ? evenOddRegion(rings) : unionOf(rings);
  if (region.length === 0) return err('edge/no-outline', { name });
  return ok(pathPart(fitCurves(region, FIT).path, name));
}

/** Curves as a part of a build, at their place. */
export function pathPart(path: Path, name: string): EdgePart {
  const { shape, centre } = centredOutline(pathNodes(path));
  return { use: 'add', name, shape, ...centre, angle: 0 };
}
