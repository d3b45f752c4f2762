import { z } from 'zod';
import { boxOf, offsetRegion, ringsPath, type Ring } from '../../geometry/index.ts';
import type { ShapeKind } from './kind.ts';

const place = z.number().min(-2000).max(2000);

/** How many points all rings of an outline may have together. */
export const MOST_OUTLINE_POINTS = 10_000;

/** Any outline, as rings of points about the middle of its box, mm; later rings may be holes. */
export const outlineSchema = z
  .object({
    kind: z.literal('outline'),
    rings: z.array(z.array(z.object({ x: place, y: place })).min(3)).min(1),
  })
  .refine(
    ({ rings }) => rings.reduce((sum, ring) => sum + ring.length, 0) <= MOST_OUTLINE_POINTS,
    `an outline has at most ${MOST_OUTLINE_POINTS} points`,
  );
export type OutlineShape = z.infer<typeof outlineSchema>;

function sizeOf(rings: readonly Ring[]): { width: number; height: number } {
  const box = boxOf(rings.flat()) ?? { left: 0, top: 0, right: 0, bottom: 0 };
  return { width: box.right - box.left, height: box.bottom - box.top };
}

export const outline: ShapeKind<OutlineShape> = {
  size: ({ rings }) => sizeOf(rings),
  path: ({ rings }, by) => ringsPath(by === 0 ? rings : offsetRegion(rings, by)),
  inset(shape, by) {
    const rings = offsetRegion(shape.rings, -by, 'mitre').map((ring) => [...ring]);
    return rings.length ? { ...shape, rings } : outline.resized(shape, 1, 1);
  },
  resized(shape, width, height) {
    const now = sizeOf(shape.rings);
    const [x, y] = [width / now.width, height / now.height];
    return {
      ...shape,
      rings: shape.rings.map((ring) => ring.map((at) => ({ x: at.x * x, y: at.y * y }))),
    };
  },
};
