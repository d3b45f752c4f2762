import type { ValueRule } from '../../base/index.ts';
import * as z from 'zod';
import { ellipsePath, mapPath, scaling } from '../../geometry/index.ts';
import { less, mm, type ShapeKind } from './kind.ts';

/** A round edge with a round hole in its middle, as a disc has. Diameters in mm. */
export const ringSchema = z
  .object({ kind: z.literal('ring'), outer: mm, inner: mm })
  .refine(({ outer, inner }) => inner < outer, 'hole-in-disc' satisfies ValueRule);

export const ring: ShapeKind<z.infer<typeof ringSchema>> = {
  size: ({ outer }) => ({ width: outer, height: outer }),
  path({ outer, inner }, by) {
    const [far, near] = [outer / 2 + by, inner / 2 - by];
    if (far <= 0 || near >= far) return [];
    const rim = ellipsePath({ x: 0, y: 0 }, far, far);
    // Bleed reaches into the hole as well; the hole runs the other way round.
    return near > 0
      ? [...rim, ...mapPath(ellipsePath({ x: 0, y: 0 }, near, near), scaling(-1, 1))]
      : rim;
  },
  inset({ kind, outer, inner }, by) {
    const far = less(outer, 2 * by);
    return { kind, outer: far, inner: Math.min(inner + 2 * by, far * 0.9) };
  },
  resized({ kind, outer, inner }, width, height) {
    const scale = Math.min(width, height) / outer;
    return { kind, outer: outer * scale, inner: inner * scale };
  },
};
