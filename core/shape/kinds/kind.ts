import { z } from 'zod';
import type { Path } from '../../geometry/index.ts';

/** A measure of a shape in mm. */
export const mm = z.number().positive().max(2000);

/** A side less what is taken from it, at least 1 mm. */
export const less = (side: number, by: number): number => Math.max(1, side - by);

/** What each kind of shape can do. All paths stand about the middle of the shape's box at (0, 0). */
export interface ShapeKind<S> {
  size(shape: S): { width: number; height: number };
  /** The outline grown by `by` mm, shrunk when negative; empty when nothing is left. */
  path(shape: S, by: number): Path;
  /** The same kind of shape with every side `by` mm further in; never less than 1 mm. */
  inset(shape: S, by: number): S;
  /** The same kind of shape at another size. */
  resized(shape: S, width: number, height: number): S;
}
