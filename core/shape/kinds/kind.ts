import * as z from 'zod';
import { flatten, offsetRegion, ringsPath, type Path, type Point } from '../../geometry/index.ts';

/** A measure of a shape in mm. */
export const mm = z.number().positive().max(2000);

/** A side less what is taken from it, at least 1 mm. */
export const less = (side: number, by: number): number => Math.max(1, side - by);

/** A measure that a shape has beside its width and height, and where it is dragged on a drawing. */
export interface ShapeMeasure<S> {
  /** The shape's own name of it. */
  readonly key: string & keyof S;
  /** Lengths are in mm; counts are whole numbers. */
  readonly counts: boolean;
  readonly least: number;
  most(shape: S): number;
  /** Where its handle stands, about the middle of the shape's box; counts have none. */
  at?(shape: S): Point;
  /** What it is when its handle is dragged to a place. */
  read?(shape: S, at: Point): number;
}

/** What each kind of shape can do. All paths stand about the middle of the shape's box at (0, 0). */
export interface ShapeKind<S> {
  size(shape: S): { width: number; height: number };
  /** The outline grown by `by` mm, shrunk when negative; empty when nothing is left. */
  path(shape: S, by: number): Path;
  /**
   * The same kind of shape with every side `by` mm further in; never less than 1 mm. Kinds whose
   * inner line is of another kind have none: it is worked out as an outline.
   */
  inset?(shape: S, by: number): S;
  /** The same kind of shape at another size. */
  resized(shape: S, width: number, height: number): S;
  readonly measures?: readonly ShapeMeasure<S>[];
}

/** A path grown by `by` mm, with sharp corners kept sharp. */
export function grownPath(exact: Path, by: number): Path {
  return by === 0 ? exact : ringsPath(offsetRegion(flatten(exact, 0.002), by, 'mitre'));
}

interface Boxed {
  readonly width: number;
  readonly height: number;
}

/**
 * A kind of shape that is drawn into a box and offset as it is drawn.
 * @param detail a measure in mm that keeps its share of the shape's smaller side
 */
export function boxedKind<S extends Boxed>(
  exact: (shape: S) => Path,
  measures: readonly ShapeMeasure<S>[] = [],
  detail?: { [K in keyof S]: S[K] extends number ? K : never }[keyof S],
): ShapeKind<S> {
  const scaled = (shape: S, width: number, height: number): S => {
    const sized = { ...shape, width, height };
    if (detail === undefined) return sized;
    const scale = Math.min(width, height) / Math.min(shape.width, shape.height);
    return { ...sized, [detail]: (shape[detail] as number) * scale };
  };
  return {
    size: ({ width, height }) => ({ width, height }),
    path: (shape, by) => grownPath(exact(shape), by),
    resized: scaled,
    measures,
  };
}

/** The larger of two values that keeps within a range. */
export const within = (value: number, least: number, most: number): number =>
  Math.min(most, Math.max(least, value));
