import * as z from 'zod';
import { plainShape, shapeSize } from '../../shape/index.ts';
import { flat, mm, some, type ThingKind } from './kind.ts';
import { hemFolds, hemZones } from './face.ts';

/** Any size and plain shape that is already known. */
export const ownSchema = z.object({
  kind: z.literal('own'),
  shape: z.enum(['rectangle', 'ellipse', 'circle']),
  width: mm,
  height: mm,
  /** Hem or seam outside the finished edge, mm. */
  allowance: some.default(0),
});
export type Own = z.infer<typeof ownSchema>;

/** The shape as it is given; a hem lies outside it. */
export const own: ThingKind<Own> = {
  usual: { kind: 'own', shape: 'rectangle', width: 90, height: 60, allowance: 0 },
  size({ shape, width, height, allowance }) {
    const inner = plainShape(shape, width, height);
    if (allowance === 0) return flat(inner);
    const size = shapeSize(inner);
    const outer = plainShape(shape, size.width + 2 * allowance, size.height + 2 * allowance);
    const folds = shape === 'rectangle' ? hemFolds(width, height) : [];
    return flat(outer, { zones: hemZones(inner, outer), folds });
  },
};
