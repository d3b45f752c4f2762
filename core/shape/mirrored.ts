import { mapNodes } from './kinds/outline.ts';
import type { EdgeShape } from './shape.ts';

/** A shape as it is seen from behind: its left side is at the right. Most shapes are alike on both sides. */
export function mirroredShape(shape: EdgeShape): EdgeShape {
  if (shape.kind === 'outline')
    // Turned over, a ring would run the other way round.
    return {
      ...shape,
      rings: mapNodes(shape.rings, ({ x, y }) => ({ x: -x, y })).map((ring) =>
        [...ring].reverse().map(({ before, after, ...at }) => ({
          ...at,
          ...(after ? { before: after } : {}),
          ...(before ? { after: before } : {}),
        })),
      ),
    };
  if (shape.kind === 'tag')
    return { ...shape, holes: shape.holes.map((hole) => ({ ...hole, x: 0 - hole.x })) };
  return shape;
}
