import { distanceToRings, isInside, mapRing, type Affine, type Ring } from '../geometry/index.ts';

/** How well one copy was cut. */
export interface CopyOutcome {
  readonly copy: string;
  /** The largest distance of its cut from its printed edge, mm. */
  readonly deviation: number;
  /** The smallest bleed that is left outside the cut, mm; negative shows paper. */
  readonly bleedLeft: number;
  /** Whether the knife went through all of its edge. */
  readonly clean: boolean;
}

/**
 * Compares where a copy was cut with where it was printed.
 * @param trim its edge on the sheet
 * @param truth where mm of the sheet were printed, in the frame of the cut
 * @param cut the ring that the knife followed, point for point the edge's first ring, and how well
 */
export function copyOutcome(
  { copy, trim, bleed }: { copy: string; trim: readonly Ring[]; bleed: number },
  actualTransform: Affine,
  { ring: cut, clean }: { ring: Ring; clean: boolean },
): CopyOutcome {
  const [edge = []] = trim;
  const printed = mapRing(edge, actualTransform);
  let deviation = 0;
  let outside = -Infinity;
  cut.forEach((at, index) => {
    const wanted = printed[index % printed.length];
    if (wanted) deviation = Math.max(deviation, Math.hypot(at.x - wanted.x, at.y - wanted.y));
    const distance = distanceToRings(at, [printed]);
    outside = Math.max(outside, isInside(at, [printed]) ? -distance : distance);
  });
  const scale = Math.sqrt(
    Math.abs(actualTransform[0] * actualTransform[3] - actualTransform[1] * actualTransform[2]),
  );
  return { copy, deviation, bleedLeft: bleed * scale - Math.max(0, outside), clean };
}
