import type { IEntity } from 'dxf-parser';
import type { Point } from '../geometry/index.ts';
import type { Ellipse, Spline } from './dxf-curves.ts';

/** A code and what it says. */
interface Group {
  readonly code: number;
  readonly value: unknown;
}
/** What the package reads groups with. */
interface Scanner {
  next(): Group;
  isEOF(): boolean;
}

/** A corner of a boundary, with the bulge of what goes on from it. */
export interface Corner extends Point {
  readonly bulge?: number;
}

/** An edge of a boundary that is no polyline; angles in radians, y up. */
export type BoundaryEdge =
  | { readonly kind: 'line'; readonly from: Point; readonly to: Point }
  | {
      readonly kind: 'arc';
      readonly centre: Point;
      readonly radius: number;
      readonly start: number;
      readonly end: number;
    }
  | ({ readonly kind: 'ellipse' } & Ellipse)
  | ({ readonly kind: 'spline' } & Spline);

/** A hatch: the boundaries that it fills. */
export interface Hatch extends IEntity {
  readonly boundaries: readonly (readonly Corner[] | readonly BoundaryEdge[])[];
  /** How many boundaries have edges of other kinds. */
  readonly unread: number;
}

const POLYLINE = 2;
const RADIANS = Math.PI / 180;

/** Reads hatches, which the package passes over. Source: the DXF reference, HATCH. */
export class HatchReader {
  readonly ForEntityName = 'HATCH';

  parseEntity(scanner: Scanner, first: Group): Hatch {
    const boundaries: (readonly Corner[] | readonly BoundaryEdge[])[] = [];
    let layer = '';
    let unread = 0;
    let group = scanner.next();
    while (!scanner.isEOF() && group.code !== 0) {
      if (group.code === 8) layer = String(group.value);
      if (group.code === 92) {
        const reader = new GroupReader(scanner);
        const found = Number(group.value) & POLYLINE ? cornersOf(reader) : edgesOf(reader);
        if (found.length) boundaries.push(found);
        else unread++;
        group = reader.last;
        continue;
      }
      group = scanner.next();
    }
    return { type: String(first.value), layer, boundaries, unread } as unknown as Hatch;
  }
}

/** Reads groups one after the other; what ends a boundary stays to be read by others. */
class GroupReader {
  private readonly scanner: Scanner;
  last: Group;
  constructor(scanner: Scanner) {
    this.scanner = scanner;
    this.last = scanner.next();
  }

  /** The number of a code that comes next; undefined where another code does. */
  take(code: number): number | undefined {
    if (this.last.code !== code) return undefined;
    const value = Number(this.last.value);
    this.last = this.scanner.isEOF() ? { code: 0, value: '' } : this.scanner.next();
    return value;
  }

  /** Passes over the points that a spline was fitted to, and its directions at its ends. */
  skipFit(): void {
    const count = this.take(97) ?? 0;
    for (let point = 0; point < count + 2; point++)
      if (!this.point(11, 21) && !this.point(12, 22) && !this.point(13, 23)) return;
  }

  point(x: number, y: number): Point | undefined {
    const [left, top] = [this.take(x), this.take(y)];
    return left === undefined || top === undefined ? undefined : { x: left, y: top };
  }
}

function cornersOf(groups: GroupReader): Corner[] {
  groups.take(72); // whether there are bulges
  groups.take(73); // whether it is closed: it always is filled as if it was
  const count = groups.take(93) ?? 0;
  const corners: Corner[] = [];
  while (corners.length < count) {
    const at = groups.point(10, 20);
    if (!at) return [];
    const bulge = groups.take(42);
    corners.push(bulge === undefined ? at : { ...at, bulge });
  }
  return corners;
}

/** The edges of a boundary; none where one of them is of another kind. */
function edgesOf(groups: GroupReader): BoundaryEdge[] {
  const count = groups.take(93) ?? 0;
  const edges: BoundaryEdge[] = [];
  while (edges.length < count) {
    const edge = READERS[(groups.take(72) ?? 0) - 1]?.(groups);
    if (!edge) return [];
    edges.push(edge);
  }
  return edges;
}

/** By the number of their kind, from 1. */
const READERS: readonly ((groups: GroupReader) => BoundaryEdge | undefined)[] = [
  readLine,
  readArc,
  readEllipse,
  readSpline,
];

function readLine(groups: GroupReader): BoundaryEdge | undefined {
  const [from, to] = [groups.point(10, 20), groups.point(11, 21)];
  return from && to && { kind: 'line', from, to };
}

function readArc(groups: GroupReader): BoundaryEdge | undefined {
  const centre = groups.point(10, 20);
  const radius = groups.take(40);
  const angles = readAngles(groups);
  return centre && radius !== undefined && angles
    ? { kind: 'arc', centre, radius, start: angles[0], end: angles[1] }
    : undefined;
}

function readEllipse(groups: GroupReader): BoundaryEdge | undefined {
  const [center, majorAxisEndPoint] = [groups.point(10, 20), groups.point(11, 21)];
  const axisRatio = groups.take(40);
  const angles = readAngles(groups);
  if (!center || !majorAxisEndPoint || axisRatio === undefined || !angles) return undefined;
  const [startAngle, endAngle] = angles;
  return { kind: 'ellipse', center, majorAxisEndPoint, axisRatio, startAngle, endAngle };
}

/** Where a part of a circle or ellipse begins and ends; clockwise ones have their angles mirrored. */
function readAngles(groups: GroupReader): [number, number] | undefined {
  const [start, end] = [groups.take(50), groups.take(51)];
  const isAnticlockwise = groups.take(73) !== 0;
  if (start === undefined || end === undefined) return undefined;
  const [from, to] = isAnticlockwise ? [start, end] : [-end, -start];
  return [from * RADIANS, to * RADIANS];
}

function readSpline(groups: GroupReader): BoundaryEdge | undefined {
  const degreeOfSplineCurve = groups.take(94) ?? 0;
  const isRational = groups.take(73) === 1;
  groups.take(74); // whether it is periodic
  const [knots, points] = [groups.take(95) ?? 0, groups.take(96) ?? 0];
  const knotValues: number[] = [];
  while (knotValues.length < knots) {
    const knot = groups.take(40);
    if (knot === undefined) return undefined;
    knotValues.push(knot);
  }
  const controlPoints: Point[] = [];
  let weights = 0;
  while (controlPoints.length < points) {
    const point = groups.point(10, 20);
    if (!point) return undefined;
    controlPoints.push(point);
    weights += isRational && (groups.take(42) ?? 1) !== 1 ? 1 : 0;
  }
  groups.skipFit();
  // Points that pull with different weights draw another curve.
  return degreeOfSplineCurve < 1 || points < 2 || weights > 0
    ? undefined
    : { kind: 'spline', degreeOfSplineCurve, knotValues, controlPoints };
}
