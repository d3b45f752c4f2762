import { warning } from '../size-warnings.ts';
import * as z from 'zod';
import { boxAbout, corners, flatten } from '../../geometry/index.ts';
import { shapePath, type EdgeShape } from '../../shape/index.ts';
import type { Fold, Zone } from '../flat.ts';
import { flat, mm, nothingLeft, rectangleOf, ringsZone, some, type ThingKind } from './kind.ts';

/** A flat four-cornered face: a box's side, a packet, a bar. */
export const faceSchema = z.object({
  kind: z.literal('face'),
  width: mm,
  height: mm,
  radius: z.number().min(0).max(1000),
  clearance: some,
  /** Hem or seam outside the finished edge, mm. */
  allowance: some.default(0),
});
export type Face = z.infer<typeof faceSchema>;

/** What is finished and the hem around it. */
export function hemZones(inner: EdgeShape, outer: EdgeShape): Zone[] {
  const [front, around] = [inner, outer].map((shape) => flatten(shapePath(shape), 0.01));
  const holes = (front ?? []).map((ring) => [...ring].reverse());
  return [ringsZone('front', front ?? []), ringsZone('hem', [...(around ?? []), ...holes])];
}

/** The folds between a finished box and the hem around it. */
export function hemFolds(width: number, height: number): Fold[] {
  const inner = corners(boxAbout({ x: 0, y: 0 }, width, height));
  return inner.map((corner, at): Fold => [corner, inner[(at + 1) % 4] ?? corner]);
}

/** A face less the clearance on every side; round corners follow inwards. */
export const face: ThingKind<Face> = {
  usual: { kind: 'face', width: 80, height: 110, radius: 4, clearance: 4, allowance: 0 },
  size({ clearance, allowance, ...face }) {
    const width = face.width - 2 * clearance;
    const height = face.height - 2 * clearance;
    if (Math.min(width, height) < 1)
      return nothingLeft(Math.min(face.width, face.height), clearance);
    const warnings =
      face.radius > Math.min(face.width, face.height) / 2 ? [warning('round-ends', {})] : [];
    if (allowance > 0) {
      const inner = rectangleOf(width, height, Math.max(0, face.radius - clearance));
      const radius = inner.kind === 'rectangle' && inner.radius > 0 ? inner.radius + allowance : 0;
      const shape = rectangleOf(width + 2 * allowance, height + 2 * allowance, radius);
      const [zones, folds] = [hemZones(inner, shape), hemFolds(width, height)];
      return flat(shape, { zones, folds, warnings });
    }
    return flat(rectangleOf(width, height, Math.max(0, face.radius - clearance)), { warnings });
  },
};
