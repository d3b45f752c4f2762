import { seededRandom } from '../../../base/index.ts';
import type { Point } from '../../../geometry/index.ts';
import { filled, inkAt, polygon, type PatternKind } from '../pattern.ts';

const SIDE = 16; // mm
const CHIPS = 34;
const APART = 1.75; // mm between the middles of chips

interface Chip extends Point {
  readonly size: number;
  readonly corners: readonly Point[];
}

const strewn = chips();

/** Chips of stone in three colours, strewn without an order that the eye finds. */
export const terrazzo: PatternKind = {
  inks: 3,
  tile: (inks) => ({
    width: SIDE,
    height: SIDE,
    nodes: strewn.map(({ corners }, at) => filled(polygon(corners), inkAt(inks, at % 3))),
  }),
};

/** Chips that keep apart, also across the sides of the tile. */
function chips(): Chip[] {
  const random = seededRandom(20);
  const found: Chip[] = [];
  const away = (one: number, other: number): number => {
    const off = Math.abs(one - other);
    return Math.min(off, SIDE - off);
  };
  for (let tries = 0; tries < 4000 && found.length < CHIPS; tries++) {
    const [x, y, size] = [random.next() * SIDE, random.next() * SIDE, 0.45 + random.next() * 0.85];
    const clear = found.every(
      (one) => Math.hypot(away(one.x, x), away(one.y, y)) > APART * 0.35 + (one.size + size) * 0.95,
    );
    if (!clear) continue;
    const sides = 4 + Math.floor(random.next() * 3);
    const turn = random.next() * 6;
    const corners = Array.from({ length: sides }, (_, at) => {
      const angle = turn + ((at + random.next() * 0.6) / sides) * 2 * Math.PI;
      const reach = size * (0.75 + random.next() * 0.3);
      return { x: x + reach * Math.cos(angle), y: y + reach * Math.sin(angle) * 0.8 };
    });
    found.push({ x, y, size, corners });
  }
  return found;
}
