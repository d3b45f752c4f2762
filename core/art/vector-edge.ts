import { err, ok, type Result } from '../base/index.ts';
import type { DrawingNode, Mask, PathNode } from '../drawing/index.ts';
import {
  intersectionOf,
  compose,
  evenOddRegion,
  fitCurves,
  flatten,
  IDENTITY,
  mapPath,
  mapRing,
  signedArea,
  strokedRegion,
  unionOf,
  type Affine,
  type Ring,
} from '../geometry/index.ts';
import type { Traced } from './trace.ts';

const FLAT = 0.005; // mm

/** The outline of all that a vector picture shows: fills and lines together, in mm from its top left corner. */
export function traceVector(nodes: readonly DrawingNode[]): Result<Traced> {
  const region = unionOf(...regionsOf(nodes, IDENTITY)).filter(
    (ring) => Math.abs(signedArea(ring)) > 0.01,
  );
  if (region.length === 0) return err('art/nothing-to-trace', { kind: 'shapes' });
  const { path, nodes: count, deviation } = fitCurves(region, { tolerance: 0.01, blur: 0 });
  const areas = region.map(signedArea);
  return ok({
    path,
    nodes: count,
    deviation,
    parts: areas.filter((area) => area > 0).length,
    holes: areas.filter((area) => area < 0).length,
    area: areas.reduce((sum, area) => sum + area, 0),
  });
}

function regionsOf(nodes: readonly DrawingNode[], map: Affine): Ring[][] {
  return nodes.flatMap((node): Ring[][] => {
    if (node.kind === 'path') return covered(node, map);
    if (node.kind === 'image') return [[mapRing(SQUARE, compose(map, node.map))]];
    if (node.kind !== 'group') return [];
    const own = node.transform ? compose(map, node.transform) : map;
    const inner = regionsOf(node.children, own);
    const shown = node.mask ? within(inner, unionOf(...regionsOf(lit(node.mask), own))) : inner;
    if (!node.clip) return shown;
    const clip = flatten(mapPath(node.clip, own), FLAT);
    return within(shown, node.clipEvenOdd ? evenOddRegion(clip) : unionOf(clip));
  });
}

const SQUARE: Ring = [
  { x: 0, y: 0 },
  { x: 1, y: 0 },
  { x: 1, y: 1 },
  { x: 0, y: 1 },
];

const within = (regions: readonly Ring[][], room: readonly Ring[]): Ring[][] => [
  intersectionOf(unionOf(...regions), room),
];

/** What of a mask lets anything show: all but plain black, where it is one by luminance. */
const lit = ({ nodes, by }: Mask): DrawingNode[] =>
  nodes.flatMap((node): DrawingNode[] => {
    if (node.kind === 'group') return [{ ...node, children: lit({ nodes: node.children, by }) }];
    const dark =
      by === 'luminance' &&
      node.kind === 'path' &&
      node.fill?.kind === 'solid' &&
      node.fill.color === '#000000';
    return dark ? [] : [node];
  });

function covered(node: PathNode, map: Affine): Ring[][] {
  const rings = flatten(mapPath(node.path, map), FLAT);
  const regions: Ring[][] = [];
  if (node.fill) regions.push(node.evenOdd ? evenOddRegion(rings) : unionOf(rings));
  if (node.stroke) {
    const scale = Math.sqrt(Math.abs(map[0] * map[3] - map[1] * map[2]));
    const { width, cap = 'butt', join = 'miter' } = node.stroke;
    const corners = ({ miter: 'mitre', round: 'round', bevel: 'bevel' } as const)[join];
    const closed = node.path[node.path.length - 1]?.[0] === 'Z';
    regions.push(strokedRegion(rings, { width: width * scale, closed, cap, corners }));
  }
  return regions;
}
