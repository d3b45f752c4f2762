import * as z from 'zod';
import { boxOf, boxOfRings, flatten, roundedRing, type Path } from '../../geometry/index.ts';
import { boxedKind, mm } from './kind.ts';

/** A regular polygon stretched to its box, a side below; `radius` rounds its corners, mm. */
export const polygonSchema = z.object({
  kind: z.literal('polygon'),
  width: mm,
  height: mm,
  sides: z.number().int().min(3).max(24),
  radius: z.number().min(0).max(1000),
});
type PolygonShape = z.infer<typeof polygonSchema>;

function exact({ width, height, sides, radius }: PolygonShape): Path {
  const round = Array.from({ length: sides }, (_, at) => {
    const turn = ((at + 0.5) / sides) * 2 * Math.PI + Math.PI / 2;
    return { x: Math.cos(turn), y: Math.sin(turn) };
  });
  const box = boxOf(round) ?? { left: -1, top: -1, right: 1, bottom: 1 };
  const place = (value: number, low: number, high: number, side: number): number =>
    ((value - low) / (high - low) - 0.5) * side;
  let ring = round.map(({ x, y }) => ({
    x: place(x, box.left, box.right, width),
    y: place(y, box.top, box.bottom, height),
  }));
  // Round corners stand back from the box: the ring is stretched until they meet it again.
  for (let pass = 0; pass < 4 && radius > 0; pass++) {
    const now = boxOfRings(flatten(roundedRing(ring, radius), 0.001)) ?? box;
    const [fx, fy] = [width / (now.right - now.left), height / (now.bottom - now.top)];
    const [mx, my] = [(now.left + now.right) / 2, (now.top + now.bottom) / 2];
    ring = ring.map(({ x, y }) => ({ x: (x - mx) * fx, y: (y - my) * fy }));
  }
  return roundedRing(ring, radius);
}

export const polygon = boxedKind<PolygonShape>(
  exact,
  [
    { key: 'sides', counts: true, least: 3, most: () => 24 },
    {
      key: 'radius',
      counts: false,
      least: 0,
      most: ({ width, height }) => Math.min(width, height) / 2,
      at: ({ width, height, radius }) => ({ x: -width / 2 + radius, y: height / 2 }),
      read: ({ width }, { x }) => x + width / 2,
    },
  ],
  'radius',
);
