import type { ArtNote } from './notes.ts';
import type { ArtOmission } from './omissions.ts';
import type DxfParserType from 'dxf-parser';
import type {
  IArcEntity,
  ICircleEntity,
  IEllipseEntity,
  IEntity,
  ILineEntity,
  ILwpolylineEntity,
  IPolylineEntity,
  ISplineEntity,
} from 'dxf-parser';
import { err, ok, type Result } from '../base/index.ts';
import {
  apply,
  boxOf,
  boxOfRings,
  findPath,
  flatten,
  IDENTITY,
  scaleOf,
  type Affine,
  type Box,
  type Point,
} from '../geometry/index.ts';
import { HatchReader, type BoundaryEdge, type Corner, type Hatch } from './dxf-hatch.ts';
import { arcWay, at, ellipseWay, splineWay, type Step, type Way } from './dxf-curves.ts';
import { unfoldBlocks, type PlacedEntity } from './dxf-blocks.ts';

/** Ends that are nearer than that belong together, drawing units. */
const JOINT = 0.01;
/** mm of a drawing unit, by the number that stands for it; what is not here is taken for mm. */
const UNITS: Readonly<Record<number, number>> = { 1: 25.4, 2: 304.8, 4: 1, 5: 10, 6: 1000 };
/** How far a line may stay from the curve that it follows, mm. */
const FINE = 0.004;
const MOST = 20_000; // entities

/** Whether a text is a drawing interchange file: it begins with a section. */
export const isDxf = (head: string): boolean =>
  /^\uFEFF?\s*(999\s*\r?\n[^\n]*\n\s*)*0\s*\r?\n\s*SECTION\b/.test(head);

/**
 * The closed outlines of a drawing as an SVG in mm: lines and arcs that meet are put together; what stays
 * open is left out. Source: the DXF reference, ASCII form; entities LINE, LWPOLYLINE, POLYLINE, CIRCLE,
 * ARC, ELLIPSE and SPLINE, the boundaries of HATCH, and INSERT of blocks that hold these.
 */
export async function dxfToSvg(
  text: string,
  name: string,
): Promise<Result<{ svg: string; leftOut: ArtOmission[]; notes: ArtNote[] }>> {
  const { default: DxfParser } = await import('dxf-parser');
  let entities: readonly PlacedEntity[];
  let unit: number;
  try {
    const parser = new DxfParser();
    parser.registerEntityHandler(HatchReader as unknown as HandlerType);
    const read = parser.parseSync(text);
    entities = unfoldBlocks(read?.entities ?? [], read?.blocks ?? {}, MOST);
    unit =
      UNITS[Number((read as { header?: Record<string, unknown> } | null)?.header?.$INSUNITS)] ?? 1;
  } catch {
    return err('art/broken', { name, kind: 'dxf' }, name);
  }
  if (entities.length > MOST)
    return err('art/dxf-entities', { name, lines: entities.length, most: MOST }, name);
  const fineOf = (map: Affine): number => FINE / (unit * (scaleOf(map) || 1));
  const hatches = entities.filter(({ entity }) => isHatch(entity));
  const known = entities
    .filter(({ entity }) => !isHatch(entity))
    .map(({ entity, map }) => {
      const way = wayOf(entity, fineOf(map));
      return way && mappedWay(way, map, fineOf(map));
    });
  const { rings: drawn, open } = joined(known.flatMap((way) => way ?? []));
  const filled = hatches.flatMap(({ entity, map }) =>
    boundariesOf(entity as Hatch, fineOf(map)).map((way) => mappedWay(way, map, fineOf(map))),
  );
  const rings = [...drawn, ...withoutDrawn(filled, drawn)];
  if (rings.length === 0) return err('art/dxf-open', { name }, name);
  const foreign =
    known.filter((way) => way === undefined).length +
    hatches.reduce((sum, { entity }) => sum + (entity as Hatch).unread, 0);
  const leftOut: ArtOmission[] = [];
  if (open > 0) leftOut.push({ code: 'open-lines', values: { count: open } });
  if (foreign > 0) leftOut.push({ code: 'foreign-entities', values: { count: foreign } });
  return ok({ svg: written(rings, unit), leftOut, notes: layerNotes(entities) });
}

const LONGEST = 40; // letters of a layer’s name that are told

function layerNotes(entities: readonly PlacedEntity[]): ArtNote[] {
  const names = [...new Set(entities.map(({ entity }) => (entity.layer ?? '').slice(0, LONGEST)))];
  return names.length > 1 ? [{ code: 'layers', values: { names: names.sort() } }] : [];
}

type HandlerType = Parameters<InstanceType<typeof DxfParserType>['registerEntityHandler']>[0];

const isHatch = ({ type }: IEntity): boolean => type === 'HATCH';

/** The boundaries of a hatch as closed ways. */
function boundariesOf({ boundaries }: Hatch, fine: number): Way[] {
  return boundaries.flatMap((boundary): Way[] => {
    const [first] = boundary;
    if (first && 'kind' in first)
      return joined(
        (boundary as readonly BoundaryEdge[]).flatMap((edge) => edgeWay(edge, fine) ?? []),
      ).rings;
    const way = polylineWay({ vertices: boundary as readonly Corner[], shape: true });
    return way ? [way] : [];
  });
}

function edgeWay(edge: BoundaryEdge, fine: number): Way | undefined {
  if (edge.kind === 'ellipse') return ellipseWay(edge, fine);
  if (edge.kind === 'spline') return splineWay(edge, fine);
  if (edge.kind === 'line') return { from: at(edge.from), steps: [{ to: at(edge.to) }] };
  const end = edge.end > edge.start ? edge.end : edge.end + 2 * Math.PI;
  return arcWay(at(edge.centre), edge.radius, [edge.start, end]);
}

/** Boundaries without those that are drawn as lines too: what is filled within its own outline is one shape. */
function withoutDrawn(filled: readonly Way[], drawn: readonly Way[]): Way[] {
  const boxOfWay = ({ from, steps }: Way): Box | undefined =>
    boxOf([from, ...steps.map(({ to }) => to)]);
  const known = drawn.map(boxOfWay);
  return filled.filter((way) => {
    const box = boxOfWay(way);
    const isKnown = known.some((one) => box && one && isSameBox(one, box));
    known.push(box);
    return !isKnown;
  });
}

const isSameBox = (one: Box, other: Box): boolean =>
  (['left', 'top', 'right', 'bottom'] as const).every(
    (side) => Math.abs(one[side] - other[side]) < JOINT,
  );

/** @param fine how far a line may stay from a curve, drawing units */
function wayOf(entity: IEntity, fine: number): Way | undefined {
  switch (entity.type) {
    case 'LINE': {
      const [from, to] = (entity as ILineEntity).vertices;
      return from && to && { from: at(from), steps: [{ to: at(to) }] };
    }
    case 'LWPOLYLINE':
    case 'POLYLINE':
      return polylineWay(entity as ILwpolylineEntity | IPolylineEntity);
    case 'CIRCLE': {
      const { center, radius } = entity as ICircleEntity;
      return arcWay(at(center), radius, [0, 2 * Math.PI]);
    }
    case 'ARC': {
      const { center, radius, startAngle, endAngle } = entity as IArcEntity;
      const end = endAngle > startAngle ? endAngle : endAngle + 2 * Math.PI;
      return arcWay(at(center), radius, [startAngle, end]);
    }
    case 'ELLIPSE':
      return ellipseWay(entity as IEllipseEntity, fine);
    case 'SPLINE':
      return splineWay(entity as ISplineEntity, fine);
    default:
      return undefined;
  }
}

/** Corners in a row, with the bulge of what goes on from each. */
interface Polyline {
  readonly vertices: readonly Corner[];
  /** Whether the last is joined to the first. */
  readonly shape: boolean;
}

/** Bulges are tangents of a quarter of the angle that an arc spans, anticlockwise where positive. */
function polylineWay({ vertices, shape }: Polyline): Way | undefined {
  const [first] = vertices;
  if (!first || vertices.length < 2) return undefined;
  const stops = shape ? [...vertices, first] : vertices;
  const steps = stops.slice(1).map((to, index): Step => {
    const from = stops[index] ?? first;
    const bulge = from.bulge ?? 0;
    if (Math.abs(bulge) < 1e-9) return { to: at(to) };
    const chord = Math.hypot(to.x - from.x, to.y - from.y);
    const radius = (chord * (1 + bulge * bulge)) / (4 * Math.abs(bulge));
    return { to: at(to), arc: { radius, large: Math.abs(bulge) > 1, clockwise: bulge < 0 } };
  });
  return { from: at(first), steps };
}

/** A way under a map; where that turns circles into ellipses its arcs become straight steps. */
function mappedWay(way: Way, map: Affine, fine: number): Way {
  if (map === IDENTITY) return way;
  const [a, b, c, d] = map;
  const scale = scaleOf(map);
  const round = Math.hypot(a * c + b * d, a * a + b * b - c * c - d * d) < 1e-9 * scale * scale;
  const straight = round ? way : { from: way.from, steps: straightSteps(way, fine) };
  const mirrored = a * d - b * c < 0;
  return {
    from: apply(map, straight.from),
    steps: straight.steps.map(({ to, arc }): Step => ({
      to: apply(map, to),
      ...(arc && {
        arc: {
          ...arc,
          radius: arc.radius * scale,
          clockwise: arc.clockwise !== mirrored,
        },
      }),
    })),
  };
}

function straightSteps({ from, steps }: Way, fine: number): Step[] {
  return steps.flatMap((step, at): Step[] => {
    if (!step.arc) return [step];
    const start = steps[at - 1]?.to ?? from;
    const { radius, large, clockwise } = step.arc;
    const arc = `A${radius} ${radius} 0 ${large ? 1 : 0} ${clockwise ? 1 : 0} ${step.to.x} ${step.to.y}`;
    const [line = []] = flatten(findPath(`M${start.x} ${start.y}${arc}`) ?? [], fine);
    return [...line.slice(1).map((to): Step => ({ to })), { to: step.to }];
  });
}

const near = (one: Point, other: Point): boolean =>
  Math.hypot(one.x - other.x, one.y - other.y) < JOINT;
const endOf = ({ from, steps }: Way): Point => steps[steps.length - 1]?.to ?? from;

function reversed({ from, steps }: Way): Way {
  const stops = [from, ...steps.map(({ to }) => to)];
  return {
    from: stops[stops.length - 1] ?? from,
    steps: steps
      .map(({ arc }, index): Step => ({
        to: stops[index] ?? from,
        ...(arc ? { arc: { ...arc, clockwise: !arc.clockwise } } : {}),
      }))
      .reverse(),
  };
}

/** Ways put together where their ends meet, until they are closed; how many stay open. */
function joined(ways: readonly Way[]): { rings: Way[]; open: number } {
  const rings = ways.filter((way) => near(way.from, endOf(way)));
  const left = ways.filter((way) => !near(way.from, endOf(way)));
  let open = 0;
  for (let way = left.shift(); way; way = left.shift()) {
    let ring: Way = way;
    while (!near(ring.from, endOf(ring))) {
      const end = endOf(ring);
      const next = left.findIndex((one) => near(one.from, end) || near(endOf(one), end));
      const [found] = next < 0 ? [] : left.splice(next, 1);
      if (!found) break;
      const turned = near(found.from, end) ? found : reversed(found);
      ring = { from: ring.from, steps: [...ring.steps, ...turned.steps] };
    }
    if (near(ring.from, endOf(ring))) rings.push(ring);
    else open++;
  }
  return { rings, open };
}

/** Rings as one shape with holes, on a page of its size. */
function written(rings: readonly Way[], unit: number): string {
  const n = (value: number): string => String(Math.round(value * 1e4) / 1e4);
  const place = ({ x, y }: Point): string => `${n(x * unit)} ${n(y * unit)}`;
  const stepTo = ({ to, arc }: Step): string => {
    if (!arc) return `L${place(to)}`;
    const radius = n(arc.radius * unit);
    return `A${radius} ${radius} 0 ${arc.large ? 1 : 0} ${arc.clockwise ? 1 : 0} ${place(to)}`;
  };
  const data = rings
    .map(({ from, steps }) => `M${place(from)}${steps.map(stepTo).join('')}Z`)
    .join('');
  const { left, top, right, bottom } = boxOfRings(flatten(findPath(data) ?? [])) ?? {
    left: 0,
    top: 0,
    right: 1,
    bottom: 1,
  };
  const [width, height] = [n(right - left), n(bottom - top)];
  return (
    `<svg xmlns="http://www.w3.org/2000/svg" width="${width}mm" height="${height}mm" ` +
    `viewBox="${n(left)} ${n(top)} ${width} ${height}">` +
    `<path fill="#2a1b2e" fill-rule="evenodd" d="${data}"/></svg>`
  );
}
