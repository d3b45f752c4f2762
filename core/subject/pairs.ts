import type { Regions } from './regions.ts';
import type { WorkingImage } from './working.ts';

/** How much a border costs where colours do not change at all. */
const BORDER = 50;
/** To the right, below, below to the right and below to the left. */
const WAYS = 4;

/**
 * What it costs that a pixel and its neighbours are on different sides: four numbers each, to the right,
 * below, below to the right and below to the left. The less, the more their colours differ beside what
 * is usual in the picture.
 */
export function pairCosts({ width, height, lab }: WorkingImage): Float32Array {
  const costs = new Float32Array(width * height * WAYS);
  const steps = [1, width, width + 1, width - 1];
  let [sum, count] = [0, 0];
  for (let pixel = 0, y = 0; y < height; y++)
    for (let x = 0; x < width; x++, pixel++)
      for (let way = 0; way < WAYS; way++) {
        const isOut =
          (way !== 1 && way !== 3 && x === width - 1) ||
          (way === 3 && x === 0) ||
          (way > 0 && y === height - 1);
        if (isOut) continue;
        const [from, to] = [pixel * 3, (pixel + (steps[way] as number)) * 3];
        const l = (lab[from] as number) - (lab[to] as number);
        const a = (lab[from + 1] as number) - (lab[to + 1] as number);
        const b = (lab[from + 2] as number) - (lab[to + 2] as number);
        const square = l * l + a * a + b * b;
        costs[pixel * WAYS + way] = square;
        sum += square;
        count++;
      }
  const beta = sum === 0 ? 0 : count / (2 * sum);
  const slanted = BORDER / Math.SQRT2;
  for (let at = 0; at < costs.length; at++)
    costs[at] = (at & 2 ? slanted : BORDER) * Math.exp(-beta * (costs[at] as number));
  return costs;
}

/** A region beside another. */
export interface Neighbour {
  readonly to: number;
  /** What it costs that they are on different sides. */
  readonly cost: number;
  /** From middle to middle, in pixels. */
  readonly apart: number;
}

/** The neighbours of each region. */
export function neighboursOf(
  { of, count, area }: Regions,
  pairs: Float32Array,
  width: number,
): Neighbour[][] {
  const height = of.length / width;
  const costs = Array.from({ length: count }, () => new Map<number, number>());
  const middles = new Float64Array(count * 2);
  const add = (one: number, other: number, cost: number): void => {
    const known = costs[one] as Map<number, number>;
    known.set(other, (known.get(other) ?? 0) + cost);
  };
  for (let pixel = 0, y = 0; y < height; y++)
    for (let x = 0; x < width; x++, pixel++) {
      const region = of[pixel] as number;
      middles[region * 2] = (middles[region * 2] as number) + x;
      middles[region * 2 + 1] = (middles[region * 2 + 1] as number) + y;
      for (let way = 0; way < WAYS; way++) {
        const right = way === 0 || way === 2 ? 1 : way === 3 ? -1 : 0;
        const isOut = x + right >= width || x + right < 0 || (way > 0 && y === height - 1);
        if (isOut) continue;
        const other = of[pixel + (way > 0 ? width : 0) + right] as number;
        if (other === region) continue;
        const cost = pairs[pixel * WAYS + way] as number;
        add(region, other, cost);
        add(other, region, cost);
      }
    }
  const at = (region: number, axis: number): number =>
    (middles[region * 2 + axis] as number) / (area[region] as number);
  return costs.map((known, region) =>
    [...known].map(([to, cost]) => ({
      ...{ to, cost },
      apart: Math.hypot(at(region, 0) - at(to, 0), at(region, 1) - at(to, 1)),
    })),
  );
}
