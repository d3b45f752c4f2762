import type { IEntity } from 'dxf-parser';
import type { Point } from '../geometry/index.ts';

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

/** An edge of a boundary that is no polyline: a line, or a part of a circle; angles in radians, y up. */
export type BoundaryEdge =
  | { readonly kind: 'line'; readonly from: Point; readonly to: Point }
  | {
      readonly kind: 'arc';
      readonly centre: Point;
      readonly radius: number;
      readonly start: number;
      readonly end: number;
    };

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
    const kind = groups.take(72);
    if (kind === 1) {
      const [from, to] = [groups.point(10, 20), groups.point(11, 21)];
      if (!from || !to) return [];
      edges.push({ kind: 'line', from, to });
    } else if (kind === 2) {
      const centre = groups.point(10, 20);
      const [radius, start, end] = [groups.take(40), groups.take(50), groups.take(51)];
      const isAnticlockwise = groups.take(73) !== 0;
      if (!centre || radius === undefined || start === undefined || end === undefined) return [];
      // Clockwise arcs have their angles mirrored.
      const [from, to] = isAnticlockwise ? [start, end] : [-end, -start];
      edges.push({
        ...{ kind: 'arc', centre, radius },
        ...{ start: from * RADIANS, end: to * RADIANS },
      });
    } else return [];
  }
  return edges;
}
