import { performance } from 'node:perf_hooks';
import { seededRandom } from '../core/base/index.ts';
import { orderCuts, shortTour, tourLength, type Visit } from '../core/cutting/index.ts';
import { ellipsePath, flatten } from '../core/geometry/index.ts';
import type { SheetCut } from '../core/sheet/index.ts';
import type { Row } from './row.ts';

const HOME = { x: 0, y: 0 };
const ANNEALED = Number(process.env.ANNEALED ?? 60_000); // ms
const { exp, floor, log } = Math;

/** Places of labels strewn over sheets of 210 by 297 mm, one below the other. */
function strewn(count: number, seed: number): Visit[] {
  const random = seededRandom(seed);
  return Array.from({ length: count }, () => {
    const [x, y] = [random.next() * 210, random.next() * 297];
    return { ax: x, ay: y, bx: x, by: y };
  });
}

/** The best way that plain simulated annealing finds by turning parts round, in a time. */
function annealed(visits: readonly Visit[], time: number): number {
  const random = seededRandom(1);
  const count = visits.length;
  const order = visits.map((_, at) => at);
  const flipped = visits.map(() => false);
  const xs = visits.map(({ ax }) => ax);
  const ys = visits.map(({ ay }) => ay);
  const apart = (one: number, other: number): number => {
    if (other >= count) return 0;
    const to = order[other] as number;
    const [fx, fy] = one < 0 ? [0, 0] : [xs[order[one] as number], ys[order[one] as number]];
    return Math.hypot((xs[to] as number) - (fx as number), (ys[to] as number) - (fy as number));
  };
  let length = tourLength(visits, { order, flipped }, HOME);
  let best = length;
  const start = performance.now();
  for (let step = 0, share = 0; share < 1; step++) {
    if (step % 1000 === 0) share = (performance.now() - start) / time;
    const heat = 40 * exp(-9 * share);
    let [i, j] = [floor(random.next() * count), floor(random.next() * count)];
    if (i > j) [i, j] = [j, i];
    const before = apart(i - 1, i) + apart(j, j + 1);
    const swap = order[i] as number;
    // The ends alone change: measured before the part is turned round.
    const first = order[i] as number;
    const last = order[j] as number;
    order[i] = last;
    const entered = apart(i - 1, i);
    order[i] = swap;
    const kept = order[j] as number;
    order[j] = first;
    const left = apart(j, j + 1);
    order[j] = kept;
    const change = entered + left - before;
    if (change > 0 && change > -heat * log(random.next() + 1e-12)) continue;
    for (let [low, high] = [i, j]; low < high; low++, high--)
      [order[low], order[high]] = [order[high] as number, order[low] as number];
    length += change;
    if (length < best) best = length;
  }
  return best;
}

/** The way of the knife between 200 labels, and the planning of 2,000. */
export function benchCutting(): Promise<Row[]> {
  const visits = strewn(200, 7);
  const start = performance.now();
  const tour = shortTour(visits, HOME);
  const took = performance.now() - start;
  const labels = strewn(2000, 3).map(({ ax, ay }): SheetCut => ({
    kind: 'kiss',
    open: false,
    copies: ['a#1'],
    rings: flatten(
      ellipsePath({ x: ax * 4, y: ay * 4 }, 8, 8),
      0.01,
    ) as unknown as SheetCut['rings'],
  }));
  const begun = performance.now();
  orderCuts(labels);
  const planned = performance.now() - begun;
  return Promise.resolve([
    {
      what: '200 labels: way without cutting',
      measured: tourLength(visits, tour, HOME),
      unit: 'mm',
      baseline: annealed(visits, ANNEALED),
      wanted: 'ratio at most 1.05 (baseline: 60 s of annealing)',
    },
    { what: '200 labels: planned in', measured: took, unit: 'ms', wanted: 'under 300 ms' },
    { what: '2,000 labels: planned in', measured: planned, unit: 'ms', wanted: 'under 1 s' },
  ]);
}
