import { boxOf, flatten, signedArea, translation } from '../geometry/index.ts';
import {
  edgeRings,
  placeEdge,
  resizedShape,
  SHAPE_KINDS,
  shapePath,
  shapeSize,
  type CutLine,
  type EdgeShape,
} from './index.ts';

const EXAMPLES: Record<EdgeShape['kind'], EdgeShape> = {
  circle: { kind: 'circle', diameter: 58 },
  ellipse: { kind: 'ellipse', width: 80, height: 50 },
  rectangle: { kind: 'rectangle', width: 76, height: 102, radius: 4 },
};

test.each(SHAPE_KINDS)('a %s fills its size, grows evenly and resizes', (kind) => {
  const shape = EXAMPLES[kind];
  const { width, height } = shapeSize(shape);
  for (const by of [0, 2, -3]) {
    const box = boxOf(flatten(shapePath(shape, by)).flat());
    expect((box?.right ?? 0) - (box?.left ?? 0)).toBeCloseTo(width + 2 * by, 1);
    expect((box?.bottom ?? 0) - (box?.top ?? 0)).toBeCloseTo(height + 2 * by, 1);
  }
  const square = shapeSize(resizedShape(shape, 40, 40));
  expect(square).toEqual({ width: 40, height: 40 });
});

test('a shape shrunk past its middle is empty', () => {
  expect(shapePath({ kind: 'circle', diameter: 10 }, -5)).toEqual([]);
  expect(shapePath({ kind: 'rectangle', width: 4, height: 90, radius: 0 }, -2)).toEqual([]);
});

test('the grown oval keeps its distance all round, as no larger oval does', () => {
  const [ring] = flatten(shapePath({ kind: 'ellipse', width: 80, height: 50 }, 2));
  // Steiner: the area grows by the perimeter times the distance and a disc.
  const perimeter = 206.93; // Ramanujan's second formula for half-axes 40 and 25
  const exact = Math.PI * 40 * 25 + perimeter * 2 + Math.PI * 4;
  expect(Math.abs(signedArea(ring ?? []) - exact) / perimeter).toBeLessThan(0.01);
});

test('only an edge becomes a cut line', () => {
  const line: CutLine = {
    kind: 'kiss',
    rings: placeEdge(edgeRings(EXAMPLES.circle), translation(50, 40)),
  };
  expect(boxOf(line.rings.flat())?.left).toBeCloseTo(21, 2);
  // @ts-expect-error rings that were drawn are not the rings of an edge
  const drawn: CutLine = { kind: 'kiss', rings: [[{ x: 0, y: 0 }]] };
  expect(drawn).toBeDefined();
});
