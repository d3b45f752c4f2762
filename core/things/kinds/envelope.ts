import * as z from 'zod';
import { flat, mm, rectangleOf, type ThingKind } from './kind.ts';

/** A label for an envelope: the address, the sender, or a seal for the flap. */
export const envelopeSchema = z.object({
  kind: z.literal('envelope'),
  use: z.enum(['address', 'return', 'seal']),
  width: mm,
  height: mm,
});
export type Envelope = z.infer<typeof envelopeSchema>;

/** A four-cornered label; a seal is as round as its sides allow. */
export const envelope: ThingKind<Envelope> = {
  usual: { kind: 'envelope', use: 'address', width: 99, height: 38 },
  size({ use, width, height }) {
    if (use !== 'seal') return flat(rectangleOf(width, height, 2));
    return flat(
      width === height ? { kind: 'circle', diameter: width } : { kind: 'ellipse', width, height },
    );
  },
};
