import fc from 'fast-check';
import { distanceToRings, ellipsePath, flatten, type Point, type Ring } from '../geometry/index.ts';
import { edgeRings, type EdgeShape } from '../shape/index.ts';
import { MATT_PAPER } from '../stock/index.ts';
import type { SheetCut } from '../sheet/index.ts';
import {
  knifeAt,
  knifeMoves,
  knifeRings,
  knifeTime,
  knifeWay,
  orderCuts,
  PLAIN_KNIFE,
  shortTour,
  tourLength,
} from './index.ts';

const HOME = { x: 0, y: 0 };
const point = (x: number, y: number) => ({ ax: x, ay: y, bx: x, by: y });
const places = fc.array(fc.record({ x: fc.nat(200), y: fc.nat(280) }), {
  minLength: 1,
  maxLength: 7,
});

/** The shortest way by trying all orders: slow, and right. */
function shortest(points: readonly Point[]): number {
  const go = (at: Point, left: readonly Point[]): number =>
    left.length === 0
      ? 0
      : Math.min(
          ...left.map(
            (to, index) =>
              Math.hypot(to.x - at.x, to.y - at.y) +
              go(
                to,
                left.filter((_, one) => one !== index),
              ),
          ),
        );
  return go(HOME, points);
}

test('few places are visited by a way that is hardly longer than the shortest of all', () => {
  fc.assert(
    fc.property(places, (points) => {
      const visits = points.map(({ x, y }) => point(x, y));
      const tour = shortTour(visits, HOME);
      expect([...tour.order].sort((a, b) => a - b)).toEqual(points.map((_, at) => at));
      expect(tourLength(visits, tour, HOME)).toBeLessThanOrEqual(shortest(points) * 1.12 + 1e-6);
    }),
    { numRuns: 60 },
  );
});

test('lines with two ends are each followed from the nearer one', () => {
  // Three bars one above the other: there and back and there again.
  const visits = [0, 10, 20].map((y) => ({ ax: 0, ay: y, bx: 100, by: y }));
  const tour = shortTour(visits, HOME);
  expect(tourLength(visits, tour, HOME)).toBeCloseTo(20, 6);
});

const circle = (x: number, y: number, radius: number): SheetCut =>
  cut(flatten(ellipsePath({ x, y }, radius, radius), 0.01));
function cut(rings: readonly Ring[], kind: SheetCut['kind'] = 'kiss', open = false): SheetCut {
  return { kind, open, copies: ['a#1'], rings: rings as unknown as SheetCut['rings'] };
}

test('folds come before kiss cuts, and these before what falls out; holes before the outline', () => {
  const [outer] = circle(50, 50, 20).rings;
  const [hole] = circle(50, 40, 3).rings;
  const through = cut([outer as Ring, hole as Ring], 'through');
  const fold = cut(
    [
      [
        { x: 30, y: 50 },
        { x: 70, y: 50 },
      ],
    ],
    'crease',
    true,
  );
  const ordered = orderCuts([through, circle(50, 60, 5), fold]);
  expect(ordered.map(({ kind }) => kind)).toEqual(['crease', 'kiss', 'through']);
  const last = ordered[2];
  expect(last && knifeRings(last).map((ring) => ring.length)).toEqual([
    hole?.length,
    outer?.length,
  ]);
});

test('of an edge with two outlines, what lies within either is cut before both, ever deeper first', () => {
  const [one, other] = [circle(50, 50, 20).rings[0], circle(100, 50, 20).rings[0]] as Ring[];
  const [hole, otherHole] = [circle(50, 40, 8).rings[0], circle(100, 40, 8).rings[0]] as Ring[];
  const [island] = circle(50, 40, 3).rings as readonly Ring[];
  const rings = [one, hole, other, otherHole, island] as Ring[];
  expect(knifeRings({ rings: cut(rings).rings, open: false })).toEqual([
    island,
    hole,
    otherHole,
    other,
    one,
  ]);
});

test('a square begins at a corner, and every ring keeps its points', () => {
  const shape: EdgeShape = { kind: 'rectangle', width: 20, height: 10, radius: 0 };
  const rings = edgeRings(shape);
  const [ordered] = orderCuts([cut(rings, 'kiss')]);
  const start = ordered?.rings[0]?.[0];
  expect([Math.abs(start?.x ?? 0), Math.abs(start?.y ?? 0)]).toEqual([10, 5]);
  expect(new Set(ordered?.rings[0])).toEqual(new Set(rings[0]));
});

test('a ring without corners begins where the knife comes from', () => {
  const [first] = orderCuts([circle(100, 0, 10)]);
  expect(first?.rings[0]?.[0]?.x).toBeCloseTo(90, 0);
});

/** Where the tip of a trailing knife goes when its holder goes along a way: it is dragged behind. */
function dragged(holder: readonly Point[], offset: number): Point[] {
  const [first, second] = holder;
  if (!first || !second) return [];
  const heading = Math.atan2(second.y - first.y, second.x - first.x);
  let tip = { x: first.x - offset * Math.cos(heading), y: first.y - offset * Math.sin(heading) };
  const trail = [tip];
  for (let at = 1; at < holder.length; at++) {
    const [from, to] = [holder[at - 1] as Point, holder[at] as Point];
    const steps = Math.max(1, Math.ceil(Math.hypot(to.x - from.x, to.y - from.y) / 0.005));
    for (let step = 1; step <= steps; step++) {
      const [x, y] = [
        from.x + ((to.x - from.x) * step) / steps,
        from.y + ((to.y - from.y) * step) / steps,
      ];
      const away = Math.hypot(x - tip.x, y - tip.y) || 1;
      tip = { x: x - (offset * (x - tip.x)) / away, y: y - (offset * (y - tip.y)) / away };
      trail.push(tip);
    }
  }
  return trail;
}

test.each([
  [
    'a square',
    [
      { x: 0, y: 0 },
      { x: 20, y: 0 },
      { x: 20, y: 20 },
      { x: 0, y: 20 },
    ],
  ],
  [
    'a spike',
    [
      { x: 0, y: 0 },
      { x: 30, y: 4 },
      { x: 0, y: 8 },
    ],
  ],
  ['a circle', circle(30, 30, 12).rings[0] as Ring],
])('the tip of a trailing knife follows %s within 0.03 mm, corners too', (_, ring) => {
  const offset = 0.3;
  const trail = dragged(knifeWay(ring, false, { offset, overcut: 0 }), offset);
  const worst = Math.max(...trail.map((at) => distanceToRings(at, [ring])));
  expect(worst).toBeLessThan(0.03);
  // Without going ahead it would cut its corners.
  const plain = dragged(knifeWay(ring, false, PLAIN_KNIFE), offset);
  expect(Math.max(...plain.map((at) => distanceToRings(at, [ring])))).toBeGreaterThan(worst);
});

test('a ring is cut on past its start by the overcut, a line is not', () => {
  const ring = [
    { x: 0, y: 0 },
    { x: 10, y: 0 },
    { x: 10, y: 10 },
  ];
  const way = knifeWay(ring, false, { offset: 0, overcut: 12 });
  expect(way[way.length - 1]).toEqual({ x: 10, y: 2 });
  expect(knifeWay(ring, true, { offset: 0, overcut: 12 })).toEqual(ring);
});

test('the time is that of the lines at their speed and of the ways between, and the knife is where it should be', () => {
  const lines = orderCuts([
    cut(
      [
        [
          { x: 0, y: 0 },
          { x: 200, y: 0 },
        ],
      ],
      'kiss',
      true,
    ),
  ]);
  const moves = knifeMoves(lines, {
    ...MATT_PAPER.cut,
    kiss: { force: 80, speed: 100, passes: 2 },
  });
  // 200 mm there and back at 100 mm a second, and once down.
  expect(knifeTime(moves)).toBeGreaterThan(4);
  expect(knifeTime(moves)).toBeLessThan(4.5);
  const { point: middle } = knifeAt(moves, knifeTime(moves) - 1);
  expect(middle.x).toBeCloseTo(100, 6);
  expect(knifeAt([], 3).point).toEqual(HOME);
});
