import * as z from 'zod';
import { err, type Result } from '../../base/index.ts';
import type { Ring } from '../../geometry/index.ts';
import { arcPoint, type ArcShape } from '../../shape/index.ts';
import type { FlatSize, Zone, ZoneName } from '../flat.ts';
import {
  flat,
  mm,
  overlapTooLong,
  overlapWarning,
  ringsZone,
  some,
  type ThingKind,
} from './kind.ts';
import { viewsBetween, wrap } from './wrap.ts';

/** A wall that is wider at one end: a flower pot, a cup. Diameters at the label's edges. */
export const taperSchema = z.object({
  kind: z.literal('taper'),
  top: mm,
  bottom: mm,
  measured: z.enum(['height', 'slant']),
  /** mm, upright or along the wall as `measured` says. */
  size: mm,
  overlap: some,
  /** How much of the wall is covered, degrees. */
  angle: z.number().min(1).max(360),
  parts: z.number().int().min(1).max(8).default(1),
});
export type Taper = z.infer<typeof taperSchema>;

const STRAIGHT = 0.1; // mm of difference in diameter that a straight label forgives

/** The part of a bent band between two angles, as a ring. */
function sector(arc: ArcShape, from: number, to: number): Ring {
  const steps = Math.max(2, Math.ceil(Math.abs(to - from)));
  const along = (index: number): number => from + ((to - from) * index) / steps;
  const edge = (across: number) =>
    Array.from({ length: steps + 1 }, (_, index) => arcPoint(arc, along(index), across));
  return [...edge(0), ...edge(arc.slant).reverse()];
}

/**
 * The wall of a cone rolled out: with the slant s and diameters D1 > D2 it lies between the radii
 * R = s·D1/(D1−D2) and R − s over π(D1−D2)/s radians. Source: development of a right circular cone.
 * The overlap is measured along the shorter edge, so that it is nowhere less.
 */
export const taper: ThingKind<Taper> = {
  usual: {
    kind: 'taper',
    top: 90,
    bottom: 65,
    measured: 'height',
    size: 80,
    overlap: 10,
    angle: 360,
    parts: 1,
  },
  size(thing): Result<FlatSize> {
    const { top, bottom, measured, size, overlap, angle, parts } = thing;
    const [wide, narrow] = [Math.max(top, bottom), Math.min(top, bottom)];
    const lean = (wide - narrow) / 2;
    if (measured === 'slant' && size <= lean)
      return err('size/no-cone', { wall: size, wide, narrow });
    const slant = measured === 'slant' ? size : Math.hypot(size, lean);
    if (wide - narrow < STRAIGHT) {
      const straight = { measured: 'diameter', size: (wide + narrow) / 2, height: slant } as const;
      return wrap.size({ kind: 'wrap', ...straight, overlap, angle, clearance: 0, parts });
    }
    const radius = (slant * wide) / (wide - narrow);
    const whole = ((180 * (wide - narrow)) / slant) * (angle / 360);
    const own = whole / parts;
    const over = ((overlap / (radius - slant)) * 180) / Math.PI;
    if (own + over >= 359) return err('size/too-flat', {});
    const shape: ArcShape = {
      kind: 'arc',
      radius,
      slant,
      angle: own + over,
      wide: top >= bottom ? 'top' : 'bottom',
    };
    const start = -(own + over) / 2;
    const half = angle / parts / 2;
    const place = (degrees: number): number => start + ((degrees + half) / (2 * half)) * own;
    const zone = (name: ZoneName, from: number, to: number): Zone => ({
      ...ringsZone(name, [sector(shape, from, to)]),
      span: { from, to },
    });
    const zones = viewsBetween(-half, half).map(({ name, from, to }) =>
      zone(name, place(from), place(to)),
    );
    if (over > 0) zones.push(zone('overlap', start + own, start + own + over));
    const warnings = [
      ...(angle === 360 ? overlapWarning(overlap) : []),
      ...(over > own ? [overlapTooLong(overlap)] : []),
    ];
    return flat(shape, { zones, parts, warnings });
  },
};
