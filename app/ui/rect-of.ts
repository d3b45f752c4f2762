import type { Box } from '../../core/geometry/index.ts';

/** A box as the attributes of what SVG draws in it. */
export const rectOf = ({ left, top, right, bottom }: Box) => ({
  x: left,
  y: top,
  width: right - left,
  height: bottom - top,
});
