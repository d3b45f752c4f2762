import { strokeRegion, type DrawingNode, type Paint, type Stroke } from '../../drawing/index.ts';
import {
  compose,
  flatten,
  mapPath,
  ringsPath,
  scaleOf,
  scaling,
  type Affine,
  type Path,
} from '../../geometry/index.ts';
import { findPx, type Attributes } from './shapes.ts';

/** How the line of an element is drawn, in the element's own units. */
export function strokeOf(at: Attributes, paint: Paint): Stroke {
  const dash = (at['stroke-dasharray'] ?? '')
    .split(/[\s,]+/)
    .flatMap((part) => findPx(part || undefined) ?? []);
  const cap = at['stroke-linecap'];
  const join = at['stroke-linejoin'];
  const offset = findPx(at['stroke-dashoffset']);
  const limit = findPx(at['stroke-miterlimit']);
  return {
    paint,
    width: findPx(at['stroke-width']) ?? 1,
    cap: cap === 'round' || cap === 'square' ? cap : 'butt',
    join: join === 'round' || join === 'bevel' ? join : 'miter',
    ...(dash.some((part) => part > 0) ? { dash } : {}),
    ...(offset ? { dashOffset: offset } : {}),
    ...(limit && limit !== 4 ? { miterLimit: limit } : {}),
  };
}

/**
 * A line in mm. Where the map turns circles into ellipses so does it with the pen: the line stands in a
 * group of that map. Lines of tiles become shapes, which tiles can fill.
 */
export function strokedNode(path: Path, stroke: Stroke, map: Affine): DrawingNode {
  const scale = scaleOf(map);
  const scaled: Stroke = {
    ...stroke,
    width: stroke.width * scale,
    ...(stroke.dash ? { dash: stroke.dash.map((part) => part * scale) } : {}),
    ...(stroke.dashOffset ? { dashOffset: stroke.dashOffset * scale } : {}),
  };
  if (stroke.paint.kind === 'tile') {
    const region = strokeRegion(path, flatten(mapPath(path, map), 0.005), scaled);
    return { kind: 'path', path: ringsPath(region), fill: stroke.paint };
  }
  const [a, b, c, d] = map;
  const even = Math.abs(a * c + b * d) + Math.abs(a * a + b * b - c * c - d * d);
  if (even < 1e-4 * scale * scale || stroke.paint.kind === 'gradient' || scale < 1e-9)
    return { kind: 'path', path: mapPath(path, map), stroke: scaled };
  const round = compose(map, scaling(1 / scale));
  return {
    kind: 'group',
    transform: round,
    children: [{ kind: 'path', path: mapPath(path, scaling(scale)), stroke: scaled }],
  };
}
