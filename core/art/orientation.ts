import type { Affine } from '../geometry/index.ts';

/** From the unit square as it is stored to the unit square as it is seen, for EXIF 1 to 8. */
const SEEN_FROM_STORED: readonly Affine[] = [
  [1, 0, 0, 1, 0, 0],
  [-1, 0, 0, 1, 1, 0],
  [-1, 0, 0, -1, 1, 1],
  [1, 0, 0, -1, 0, 1],
  [0, 1, 1, 0, 0, 0],
  [0, 1, -1, 0, 1, 0],
  [0, -1, -1, 0, 1, 1],
  [0, -1, 1, 0, 0, 1],
];

/**
 * Where a stored pixel is seen: the map of the unit square for an EXIF orientation. Source: EXIF
 * 2.32, tag 0x0112.
 */
export function orientationMap(orientation: number): Affine {
  return SEEN_FROM_STORED[orientation - 1] ?? [1, 0, 0, 1, 0, 0];
}
