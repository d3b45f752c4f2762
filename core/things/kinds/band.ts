import * as z from 'zod';
import { warning } from '../size-warnings.ts';
import type { Reading, ZoneName } from '../flat.ts';
import {
  flat,
  mm,
  overlapWarning,
  panelRow,
  rectangleOf,
  some,
  type Panel,
  type ThingKind,
} from './kind.ts';

/** A band around a box: a strip, or a sleeve over its whole side. */
export const bandSchema = z.object({
  kind: z.literal('band'),
  width: mm,
  depth: mm,
  height: mm,
  /** The side of the box that the band runs around and lies along. */
  around: z.enum(['w', 'd', 'h']),
  overlap: some,
  /** How wide the strip is, mm; nothing for a full sleeve. */
  strip: mm.nullable(),
  /** A panel at the end that is tucked inside, mm; 0 for none. */
  flap: some.default(0),
  /** In how many bands the way around is divided: at the folds. */
  parts: z.union([z.literal(1), z.literal(2)]).default(1),
});
export type Band = z.infer<typeof bandSchema>;

/**
 * The panels on the way round, beginning where the seam is seen least. Over the top, what is up on the
 * front points back along the band, and forward again on the back.
 */
function panels({ width, depth, height, around }: Band): Panel[] {
  const way = (names: readonly ZoneName[], one: number, other: number): Panel[] =>
    names.map((name, index) => ({ name, length: index % 2 === 0 ? other : one }));
  const over = (panel: Panel): Reading => (panel.name === 'back' ? 90 : 270);
  if (around === 'h') return way(['side', 'front', 'side', 'back'], width, depth);
  if (around === 'w')
    return way(['top', 'front', 'bottom', 'back'], height, depth).map((panel) => ({
      ...panel,
      reading: over(panel),
    }));
  return way(['side', 'top', 'side', 'bottom'], width, height);
}

/** The girth around the chosen side and the overlap, with folds at the box's edges. */
export const band: ThingKind<Band> = {
  usual: {
    kind: 'band',
    width: 90,
    depth: 30,
    height: 60,
    around: 'h',
    overlap: 12,
    strip: 30,
    flap: 0,
    parts: 1,
  },
  size(thing) {
    const along = { w: thing.width, d: thing.depth, h: thing.height }[thing.around];
    const high = thing.strip ?? along;
    const warnings = overlapWarning(thing.overlap);
    if (high > along) warnings.push(warning('wide-strip', { strip: high, along }));
    const ways = panels(thing).slice(0, 4 / thing.parts);
    const last = ways[ways.length - 1]?.length ?? 0;
    if (thing.overlap > (ways[0]?.length ?? last))
      warnings.push(warning('overlap-beyond-panel', {}));
    const all = [
      ...ways,
      ...(thing.overlap > 0 ? [{ name: 'overlap' as const, length: thing.overlap }] : []),
      ...(thing.flap > 0 ? [{ name: 'flap' as const, length: thing.flap }] : []),
    ];
    const { width, zones, folds } = panelRow(all, high);
    return flat(rectangleOf(width, high), { zones, folds, warnings, parts: thing.parts });
  },
};
