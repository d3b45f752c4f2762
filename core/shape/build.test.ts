import { distanceToRings, flatten, signedArea } from '../geometry/index.ts';
import {
  buildEdge,
  centredOutline,
  plainBuild,
  rimOf,
  shapePath,
  shapeSize,
  type BuiltEdge,
  type EdgeBuild,
  type EdgeShape,
} from './index.ts';

const SQUARE: EdgeShape = { kind: 'rectangle', width: 40, height: 40, radius: 0 };
const DISC: EdgeShape = { kind: 'circle', diameter: 20 };
const plain = plainBuild(SQUARE, 'square');
const part = (shape: EdgeShape, x = 0, y = 0, use: 'add' | 'cut' | 'common' = 'add') => ({
  use,
  name: 'part',
  shape,
  x,
  y,
  angle: 0,
});

function built(changes: Partial<EdgeBuild>): BuiltEdge {
  const made = buildEdge({ ...plain, ...changes });
  if (!made.ok) throw new Error(made.problem.code);
  return made.value;
}
const area = ({ shape }: BuiltEdge): number =>
  flatten(shapePath(shape), 0.001).reduce((sum, ring) => sum + signedArea(ring), 0);

test('a shape with nothing done to it stays that shape', () => {
  expect(built({}).shape).toBe(SQUARE);
});

test.each([
  ['round', 1600 + 4 * 40 * 3 + Math.PI * 9],
  ['mitre', 46 * 46],
  ['bevel', 1600 + 4 * 40 * 3 + 4 * (9 / 2) * 1.1716],
] as const)(
  'an offset of 3 mm with %s corners has the area that it must have',
  (corners, wanted) => {
    // A bevel's flat touches the circle of the offset in its middle.
    expect(Math.abs(area(built({ offset: 3, corners })) - wanted)).toBeLessThan(
      corners === 'bevel' ? 8 : 0.6,
    );
  },
);

test('shapes are added, cut away and kept where both are', () => {
  const halfOff = [part(SQUARE), part(DISC, 20, 0)];
  expect(area(built({ parts: halfOff }))).toBeCloseTo(1600 + (Math.PI * 100) / 2, 0);
  const cut = [part(SQUARE), part(DISC, 20, 0, 'cut')];
  expect(area(built({ parts: cut }))).toBeCloseTo(1600 - (Math.PI * 100) / 2, 0);
  const common = [part(SQUARE), part(DISC, 20, 0, 'common')];
  expect(area(built({ parts: common }))).toBeCloseTo((Math.PI * 100) / 2, 0);
  // The middle of the whole's box is told, so that what stands in the piece can follow.
  expect(built({ parts: halfOff }).centre.x).toBeCloseTo(5, 1);
});

test('holes are kept, filled, or filled below a size', () => {
  const holed = [
    part(SQUARE),
    part(DISC, -5, 0, 'cut'),
    part({ kind: 'circle', diameter: 4 }, 15, 15, 'cut'),
  ];
  expect(built({ parts: holed }).holes).toBe(2);
  expect(built({ parts: holed, holes: 'fill' }).holes).toBe(0);
  expect(built({ parts: holed, holes: 'fill-small', smallHole: 50 }).holes).toBe(1);
});

test('separate parts are joined by the smallest offset or by bridges of a width', () => {
  const apart = [part(DISC, -15, 0), part(DISC, 15, 0), part(DISC, 15, 40)];
  expect(built({ parts: apart }).parts).toBe(3);
  const grown = built({ parts: apart, join: 'offset' });
  expect(grown.parts).toBe(1);
  // The widest gap is 20 mm: half of it from each side, and a little for a neck.
  expect(grown.joinedBy).toBeGreaterThan(10);
  expect(grown.joinedBy).toBeLessThan(10.3);
  const bridged = built({ parts: apart, join: 'bridge', bridge: 3 });
  expect(bridged.parts).toBe(1);
  const bridges = area(bridged) - 3 * Math.PI * 100;
  // Circles are followed by chords, which lie within them.
  expect(bridges).toBeGreaterThan(3 * (10 + 20) - 0.5);
  expect(bridges).toBeLessThan(3 * (10 + 20) + 3);
});

test('an inner corner is rounded for the knife, an outer one is left', () => {
  const corner = [part(SQUARE), part(SQUARE, 20, 20, 'cut')];
  const sharp = built({ parts: corner });
  const eased = built({ parts: corner, innerRadius: 2 });
  expect(area(eased) - area(sharp)).toBeCloseTo(4 * (1 - Math.PI / 4), 0);
});

test('what is punched is taken out, and the rim is measured to it', () => {
  const hole = { x: 0, y: -14, width: 5, height: 5, angle: 0 };
  const punched = built({ punched: [hole] });
  expect(punched.holes).toBe(1);
  expect(area(punched)).toBeCloseTo(1600 - Math.PI * 6.25, 0);
  const edge = flatten(shapePath(SQUARE));
  expect(rimOf(hole, edge)).toBeCloseTo(20 - 14 - 2.5, 2);
  expect(rimOf({ ...hole, y: -19 }, edge)).toBeCloseTo(-1.5, 2);
  const slot = { x: 0, y: 0, width: 12, height: 4, angle: 90 };
  const slotted = built({ punched: [slot] });
  expect(area(slotted)).toBeCloseTo(1600 - (8 * 4 + Math.PI * 4), 0);
});

test('an offset that leaves nothing says so', () => {
  const made = buildEdge({ ...plain, offset: -21 });
  expect(!made.ok && made.problem.code).toBe('edge/nothing-left');
});

test('a built edge is few curves that keep to the true offset', () => {
  const oval = built({
    parts: [part({ kind: 'heart', width: 50, height: 45, dip: 10 })],
    offset: 2.2,
  });
  expect(oval.nodes).toBeLessThan(30);
  const truth = flatten(shapePath({ kind: 'heart', width: 50, height: 45, dip: 10 }), 0.001);
  const { centre, shape } = oval;
  for (const { x, y } of flatten(shapePath(shape)).flat())
    expect(
      Math.abs(distanceToRings({ x: x + centre.x, y: y + centre.y }, truth) - 2.2),
    ).toBeLessThan(0.04);
});

test('nodes with handles become curves, and stand about the middle of their box', () => {
  const { shape, centre } = centredOutline([
    [
      { x: 10, y: 0, after: { x: 15.5, y: 0 } },
      { x: 20, y: 10, before: { x: 20, y: 4.5 } },
      { x: 10, y: 10 },
    ],
  ]);
  expect(centre).toEqual({ x: 15, y: 5 });
  expect(shapeSize(shape)).toEqual({ width: 10, height: 10 });
  // A quarter of a disc of 10 mm.
  const [ring = []] = flatten(shapePath(shape), 0.001);
  expect(signedArea(ring)).toBeCloseTo((Math.PI * 100) / 4, 0);
});

test('an outline that is drawn the other way round is an outline all the same', () => {
  const square = [0, 1, 2, 3].map((at) => ({
    x: at === 1 || at === 2 ? 10 : -10,
    y: at > 1 ? 10 : -10,
  }));
  const hole = [...square].reverse().map(({ x, y }) => ({ x: x / 4, y: y / 4 }));
  const there = buildEdge(plainBuild({ kind: 'outline', rings: [square, hole] }, 'one'));
  const back = buildEdge(
    plainBuild(
      { kind: 'outline', rings: [[...square].reverse(), [...hole].reverse()] },
      'the other way',
    ),
  );
  for (const made of [there, back])
    expect(made).toMatchObject({ ok: true, value: { parts: 1, holes: 1 } });
});
