import * as z from 'zod';
import { warning, type SizeWarning } from '../size-warnings.ts';
import { flat, mm, nothingLeft, some, type ThingKind } from './kind.ts';

/** A round lid or tin, measured across its flat top or around it. */
export const lidSchema = z.object({
  kind: z.literal('lid'),
  measured: z.enum(['diameter', 'circumference']),
  /** mm, across or around as `measured` says. */
  size: mm,
  /** What stays bare between the label and the rim, mm. */
  clearance: some,
  /** How much higher the middle is than the rim of the flat, mm. */
  dome: some.default(0),
});
export type Lid = z.infer<typeof lidSchema>;

/**
 * How much longer the rim of a flat disc of a diameter is than the circle that it has to lie on, on a
 * dome. Paper folds over 1 %, film gives up to 3 %. Source: a disc of radius a on a sphere of radius
 * ρ has 2πa of paper where there is only 2πρ·sin(a/ρ) of sphere.
 */
export function domeSurplus(dome: { across: number; height: number }, diameter: number): number {
  if (dome.height === 0) return 0;
  const half = dome.across / 2;
  const sphere = (half * half + dome.height * dome.height) / (2 * dome.height);
  const reach = diameter / 2 / sphere;
  return reach / Math.sin(reach) - 1;
}

/** A round face less the clearance all round; a circumference is divided by π. */
export const lid: ThingKind<Lid> = {
  usual: { kind: 'lid', measured: 'diameter', size: 67, clearance: 4.5, dome: 0 },
  size({ measured, size, clearance, dome }) {
    const across = measured === 'diameter' ? size : size / Math.PI;
    const diameter = across - 2 * clearance;
    if (diameter < 1) return nothingLeft(across, clearance);
    const warnings: SizeWarning[] = [];
    if (clearance > 0 && clearance < 0.5) warnings.push(warning('small-clearance', {}));
    const surplus = domeSurplus({ across, height: dome }, diameter);
    if (surplus > 0.01) warnings.push(warning('dome-wrinkles', { surplus, height: dome }));
    return flat({ kind: 'circle', diameter }, { warnings });
  },
};
