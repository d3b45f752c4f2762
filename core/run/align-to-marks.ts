import { err, ok, type Result } from '../base/index.ts';
import {
  fitAffine,
  fitSimilarity,
  residualOf,
  type Affine,
  type Point,
} from '../geometry/index.ts';
import type { MarkPlace } from '../register/index.ts';

const FAR = 0.5; // mm that told places may be off from where all of them say they are
const STRETCH = 0.05; // the most that they may be farther apart than the marks, as a share

/**
 * How a sheet lies by the places of its first marks as a hand has told them, mm from the top left
 * corner of a sheet that lies true: a similarity from two or three, an affine map from four.
 */
export function alignToMarks(
  marks: readonly MarkPlace[],
  places: readonly Point[],
): Result<Affine> {
  const listed = marks.map(({ x, y }) => ({ x, y }));
  if (places.length < 2 || places.length > marks.length)
    return err('run/align', { places: places.length, marks: listed });
  const pairs = places.map((to, at) => {
    const { x, y } = marks[at] as MarkPlace;
    return { from: { x, y }, to };
  });
  const sheetToBed = pairs.length >= 4 ? fitAffine(pairs) : fitSimilarity(pairs);
  const off = residualOf(sheetToBed, pairs);
  const stretched = Math.abs(Math.hypot(sheetToBed[0], sheetToBed[1]) - 1);
  if (off > FAR || stretched > STRETCH)
    return err('run/align', { off: off > FAR ? off : undefined, marks: listed });
  return ok(sheetToBed);
}
