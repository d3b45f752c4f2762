import * as z from 'zod';
import { err } from '../../base/index.ts';
import { ellipsePath, flatten } from '../../geometry/index.ts';
import { warning } from '../size-warnings.ts';
import { flat, mm, ringsZone, type ThingKind } from './kind.ts';

/** A disc: printed from `inner` to `outer`, with a hole of `hub`. Diameters in mm. */
export const discSchema = z.object({ kind: z.literal('disc'), outer: mm, inner: mm, hub: mm });
export type Disc = z.infer<typeof discSchema>;

/** The printable ring. Discs of 120 and 80 mm have a hole of 15 mm (ECMA-130). */
export const disc: ThingKind<Disc> = {
  usual: { kind: 'disc', outer: 116, inner: 30, hub: 15 },
  size({ outer, inner, hub }) {
    const hole = Math.max(inner, hub);
    if (hole >= outer) return err('size/no-ring', { hole, outer });
    const shape = { kind: 'ring', outer, inner: hole } as const;
    const warnings = inner < hub ? [warning('print-in-hole', { hole: hub })] : [];
    const made = flat(shape, { warnings });
    if (!made.ok) return made;
    const rings = flatten(ellipsePath({ x: 0, y: 0 }, hub / 2, hub / 2), 0.01);
    return flat(shape, { warnings, zones: [...made.value.zones, ringsZone('hub', rings)] });
  },
};
