import { flatten, mapRing, type Affine, type Point, type Ring } from '../geometry/index.ts';
import { shapePath, type EdgeShape } from './shape.ts';

declare const ofAnEdge: unique symbol;

/**
 * The rings of a finished edge. Only this module makes them, and only from an edge: nothing that is
 * drawn can turn into something that is cut.
 */
export type EdgeRings = readonly Ring[] & { readonly [ofAnEdge]: true };

/** How deep a line is cut: into the label layer, through everything, or pressed as a fold. */
export type CutKind = 'kiss' | 'through' | 'crease';

/** A line for the knife. How it is cut belongs to the use of an edge, not to the edge. */
export interface CutLine {
  readonly kind: CutKind;
  readonly rings: EdgeRings;
  /** Whether it ends where its last point is, as folds and shared lines do; else it returns to its start. */
  readonly open: boolean;
}

/** The rings of a shape's edge about its centre, within 0.005 mm of the true curve. */
export function edgeRings(shape: EdgeShape): EdgeRings {
  return flatten(shapePath(shape), 0.005) as unknown as EdgeRings;
}

/** Folds of a finished label about its centre; each is an open line that is pressed and not cut. */
export function creaseLines(folds: readonly (readonly Point[])[]): EdgeRings {
  return folds as unknown as EdgeRings;
}

/** Edges, or parts of them, as one. */
export function joinedEdges(edges: readonly EdgeRings[]): EdgeRings {
  return edges.flat() as unknown as EdgeRings;
}

/** A part of an edge: an open line along it. */
export function edgePart(line: readonly Point[]): EdgeRings {
  return [line] as unknown as EdgeRings;
}

/** An edge or its folds at their place on a sheet. */
export function placeEdge(rings: EdgeRings, map: Affine): EdgeRings {
  return rings.map((ring) => mapRing(ring, map)) as unknown as EdgeRings;
}

/** The rings of an edge, each begun at another of its points. */
export function startedAt(rings: EdgeRings, starts: readonly number[]): EdgeRings {
  return rings.map((ring, at) => {
    const start = starts[at] ?? 0;
    return start ? [...ring.slice(start), ...ring.slice(0, start)] : ring;
  }) as unknown as EdgeRings;
}
