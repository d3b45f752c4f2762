import { err, ok, type Result } from '../base/index.ts';
import { strokeRegion, type DrawingNode, type Mask, type PathNode } from '../drawing/index.ts';
import {
  intersectionOf,
  compose,
  evenOddRegion,
  fitCurves,
  flatten,
  IDENTITY,
  mapPath,
  mapRing,
  scaleOf,
  signedArea,
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
    const width = node.stroke.width * scaleOf(map);
    regions.push(strokeRegion(node.path, rings, { ...node.stroke, width }));
  }
  return regions;
}
