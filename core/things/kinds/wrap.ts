import * as z from 'zod';
import type { Result } from '../../base/index.ts';
import type { FlatSize, Zone, ZoneName } from '../flat.ts';
import {
  boxZone,
  flat,
  mm,
  nothingLeft,
  overlapTooLong,
  overlapWarning,
  rectangleOf,
  some,
  type ThingKind,
} from './kind.ts';

/** A straight wall: a jar, a pot, a bottle. The wall between two ridges is the height. */
export const wrapSchema = z.object({
  kind: z.literal('wrap'),
  measured: z.enum(['diameter', 'circumference']),
  /** mm, across or around as `measured` says. */
  size: mm,
  /** Of the straight wall, mm. */
  height: mm,
  /** How far the ends lie over each other, mm. */
  overlap: some,
  /** How much of the wall is covered, degrees. */
  angle: z.number().min(1).max(360),
  /** What stays bare above and below, mm. */
  clearance: some,
  /** Into how many equal labels the way around is divided. */
  parts: z.number().int().min(1).max(8).default(1),
});
export type Wrap = z.infer<typeof wrapSchema>;

/** What is seen at an angle from the middle of the front. */
const seenAt = (degrees: number): ZoneName =>
  degrees < 60 ? 'front' : degrees < 120 ? 'side' : 'back';

/** Where the view changes between two angles from the middle of the front. */
export function viewsBetween(
  from: number,
  to: number,
): { name: ZoneName; from: number; to: number }[] {
  const marks = [from, -120, -60, 60, 120, to].filter((mark) => mark >= from && mark <= to);
  const views = [];
  for (let at = 0; at + 1 < marks.length; at++) {
    const [start, end] = [marks[at] ?? 0, marks[at + 1] ?? 0];
    if (end - start > 1e-9)
      views.push({ name: seenAt(Math.abs((start + end) / 2)), from: start, to: end });
  }
  return views;
}

/** π times the diameter for the part that is covered, and the overlap; the wall less the clearance. */
export const wrap: ThingKind<Wrap> = {
  usual: {
    kind: 'wrap',
    measured: 'diameter',
    size: 72,
    height: 80,
    overlap: 10,
    angle: 360,
    clearance: 2,
    parts: 1,
  },
  size: ({ measured, size, height, overlap, angle, clearance, parts }): Result<FlatSize> => {
    const around = measured === 'circumference' ? size : Math.PI * size;
    const high = height - 2 * clearance;
    if (high < 1) return nothingLeft(height, clearance);
    const covered = (around * angle) / 360;
    const own = covered / parts;
    const width = own + overlap;
    const [left, top, bottom] = [-width / 2, -high / 2, high / 2];
    const half = angle / parts / 2;
    const zones: Zone[] = viewsBetween(-half, half).map(({ name, from, to }) =>
      boxZone(name, {
        left: left + ((from + half) / (2 * half)) * own,
        right: left + ((to + half) / (2 * half)) * own,
        top,
        bottom,
      }),
    );
    if (overlap > 0)
      zones.push(boxZone('overlap', { left: left + own, right: width / 2, top, bottom }));
    const warnings = angle === 360 ? overlapWarning(overlap) : [];
    if (overlap > own) warnings.push(overlapTooLong(overlap));
    return flat(rectangleOf(width, high), { zones, warnings, parts });
  },
};
