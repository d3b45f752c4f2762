import { signedArea, type Point, type Ring } from '../geometry/index.ts';

/** One value a pixel, row by row: a coverage from 0 to 255. */
export interface Mask {
  readonly width: number;
  readonly height: number;
  readonly data: Uint8Array;
}

const LEVEL = 127.5;

/**
 * The lines at which a mask is half covered, to a fraction of a pixel; (0, 0) is the corner of the
 * first pixel, whose middle is (0.5, 0.5). What is inside lies to the right of each ring: outlines
 * run clockwise as seen (y down), holes the other way. Beyond the mask nothing is covered.
 *
 * Source: marching squares with linear interpolation (Lorensen & Cline 1987, in the plane); saddles
 * are decided by the mean of their four corners.
 */
export function contours(mask: Mask): Ring[] {
  // A border of two empty pixels: no step along a line then leaves the array.
  const width = mask.width + 4;
  const height = mask.height + 4;
  const values = new Uint8Array(width * height);
  for (let y = 0; y < mask.height; y++) {
    values.set(mask.data.subarray(y * mask.width, (y + 1) * mask.width), (y + 2) * width + 2);
  }
  const steps = [-width, 1, width, -1]; // up, right, down, left
  const seen = new Uint8Array(values.length);
  const rings: Ring[] = [];
  const end = values.length - width;
  for (let at = width; at < end; at++) {
    if (seen[at] !== 0 || (values[at] as number) > LEVEL || (values[at + 1] as number) < LEVEL)
      continue;
    rings.push(follow(values, { width, steps, seen }, at));
  }
  return rings;
}

interface Field {
  readonly width: number;
  readonly steps: readonly number[];
  readonly seen: Uint8Array;
}

/** The ring through the crossing between a pixel outside and the one to its right, which is inside. */
function follow(values: Uint8Array, { width, steps, seen }: Field, start: number): Point[] {
  const ring: Point[] = [];
  let heading = 0;
  let left = start;
  let right = start + 1;
  do {
    if (heading === 0) seen[left] = 1;
    const out = values[left] as number;
    const share = (LEVEL - out) / ((values[right] as number) - out);
    const x = left % width;
    const y = (left - x) / width;
    ring.push(
      heading % 2 === 0
        ? { x: x - 1.5 + share * (right - left), y: y - 1.5 }
        : { x: x - 1.5, y: y - 1.5 + (right > left ? share : -share) },
    );
    const step = steps[heading] as number;
    const aheadLeft = left + step;
    const aheadRight = right + step;
    const leftIn = (values[aheadLeft] as number) > LEVEL;
    const rightIn = (values[aheadRight] as number) > LEVEL;
    const saddle =
      leftIn &&
      !rightIn &&
      out +
        (values[right] as number) +
        (values[aheadLeft] as number) +
        (values[aheadRight] as number) <
        4 * LEVEL;
    if (leftIn && !saddle) {
      right = aheadLeft;
      heading = (heading + 3) % 4;
    } else if (rightIn) {
      left = aheadLeft;
      right = aheadRight;
    } else {
      left = aheadRight;
      heading = (heading + 1) % 4;
    }
  } while (left !== start || heading !== 0);
  return ring;
}

/** The rings of at least an area, in the rings' own unit squared; specks and pinholes go. */
export function withoutSpecks(rings: readonly Ring[], least: number): Ring[] {
  return rings.filter((ring) => Math.abs(signedArea(ring)) >= least);
}
