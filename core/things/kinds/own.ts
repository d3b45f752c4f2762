import * as z from 'zod';
import { plainShape } from '../../shape/index.ts';
import { flat, mm, rectangleOf, some, type ThingKind } from './kind.ts';
import { hemmed } from './face.ts';

/** Any size and plain shape that is already known. */
export const ownSchema = z.object({
  kind: z.literal('own'),
  shape: z.enum(['rectangle', 'ellipse', 'circle']),
  width: mm,
  height: mm,
  /** Hem or seam outside the finished edge of a four-cornered label, mm. */
  allowance: some.default(0),
});
export type Own = z.infer<typeof ownSchema>;

/** The shape as it is given; a hem lies outside it. */
export const own: ThingKind<Own> = {
  usual: { kind: 'own', shape: 'rectangle', width: 90, height: 60, allowance: 0 },
  size({ shape, width, height, allowance }) {
    if (shape === 'rectangle' && allowance > 0)
      return flat(
        rectangleOf(width + 2 * allowance, height + 2 * allowance),
        hemmed(width, height, allowance),
      );
    return flat(plainShape(shape, width, height));
  },
};
