import * as z from 'zod';
import { warning, type SizeWarning } from '../size-warnings.ts';
import { flatten } from '../../geometry/index.ts';
import { rimOf, shapePath, type TagShape } from '../../shape/index.ts';
import type { Fold, Reading, Zone } from '../flat.ts';
import { boxZone, flat, mm, some, type ThingKind } from './kind.ts';

/** A tag that hangs: one side, two sides, or folded over. */
export const tagSchema = z.object({
  kind: z.literal('tag'),
  width: mm,
  height: mm,
  opening: z.enum(['hole', 'slot', 'none']),
  /** How wide the hole or slot is, mm. */
  hole: mm,
  /** From the opening to the nearest edge, mm. */
  rim: some,
  corner: some,
  corners: z.enum(['round', 'clipped']),
  sides: z.enum(['1', '2', 'fold']),
});
export type Tag = z.infer<typeof tagSchema>;

/** A slot is this much lower than it is wide, and never too low for a ribbon. */
const slotHeight = (width: number): number => Math.max(2, Math.min(4, width / 4));

/** The least distance of the first hole to any part of the edge or fold, mm; negative over it. */
function rimAround(shape: TagShape, folds: boolean): number {
  const [hole] = shape.holes;
  if (!hole) return Infinity;
  const outline = flatten(shapePath({ ...shape, holes: [] }), 0.01);
  const toFold = folds ? -hole.y - hole.height / 2 : Infinity;
  return Math.min(rimOf({ ...hole, angle: 0 }, outline), toFold);
}

/** The outline with clipped or round corners and the opening; a fold-over is both sides in one. */
export const tag: ThingKind<Tag> = {
  usual: {
    kind: 'tag',
    width: 50,
    height: 90,
    opening: 'hole',
    hole: 5,
    rim: 5,
    corner: 10,
    corners: 'clipped',
    sides: '1',
  },
  size({ width, height, opening, hole, rim, corner, corners, sides }) {
    const fold = sides === 'fold';
    const whole = fold ? 2 * height : height;
    const high = opening === 'slot' ? slotHeight(hole) : hole;
    const y = -whole / 2 + rim + high / 2;
    const at = { x: 0, y, width: hole, height: high };
    const holes = opening === 'none' ? [] : fold ? [at, { ...at, y: -y }] : [at];
    const shape: TagShape = {
      kind: 'tag',
      width,
      height: whole,
      corner,
      corners,
      which: fold || corners === 'round' ? 'all' : 'top',
      holes,
    };
    const half = (top: number, name: 'front' | 'back', reading?: Reading): Zone =>
      boxZone(name, { left: -width / 2, right: width / 2, top, bottom: top + height }, reading);
    const line: Fold = [
      { x: -width / 2, y: 0 },
      { x: width / 2, y: 0 },
    ];
    const warnings: SizeWarning[] = [];
    if (opening !== 'none') {
      const least = rimAround(shape, fold);
      const wanted = Math.max(3, high / 2);
      if (hole >= width) warnings.push(warning('opening-wider', {}));
      if (least < 0) warnings.push(warning('hole-over-edge', {}));
      else if (least < wanted - 1e-6)
        warnings.push(warning('hole-tears', { rim: least, least: wanted }));
    }
    return flat(shape, {
      warnings,
      // It hangs from its ends: the half below is upside down until it is folded.
      ...(fold ? { zones: [half(-height, 'front'), half(0, 'back', 180)], folds: [line] } : {}),
      ...(sides === '2' ? { zones: [half(-height / 2, 'front'), half(-height / 2, 'back')] } : {}),
    });
  },
};
