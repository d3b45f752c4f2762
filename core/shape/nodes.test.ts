import { flatten, signedArea } from '../geometry/index.ts';
import {
  isSmooth,
  moveHandle,
  moveNode,
  plainBuild,
  buildEdge,
  removeNode,
  shapePath,
  splitAfter,
  turnNode,
  type OutlineShape,
} from './index.ts';

const bent: OutlineShape['rings'] = [
  [
    { x: -10, y: 0, before: { x: -10, y: 5 }, after: { x: -10, y: -5 } },
    { x: 10, y: 0, before: { x: 10, y: -5 }, after: { x: 10, y: 5 } },
    { x: 0, y: 12 },
  ],
];
const area = (rings: OutlineShape['rings']): number =>
  flatten(shapePath({ kind: 'outline', rings }), 0.001).reduce(
    (sum, ring) => sum + signedArea(ring),
    0,
  );

test('a new node leaves the line as it is, on curves and on straight sides', () => {
  const both = splitAfter(splitAfter(bent, { ring: 0, node: 0 }), { ring: 0, node: 3 });
  expect(both[0]).toHaveLength(5);
  expect(area(both)).toBeCloseTo(area(bent), 1);
});

test('a node takes its handles along; the last three of the only ring stay', () => {
  const moved = moveNode(bent, { ring: 0, node: 1 }, { x: 12, y: 1 });
  expect(moved[0]?.[1]).toEqual({ x: 12, y: 1, before: { x: 12, y: -4 }, after: { x: 12, y: 6 } });
  expect(removeNode(bent, { ring: 0, node: 1 })).toBe(bent);
  const four = splitAfter(bent, { ring: 0, node: 0 });
  expect(removeNode(four, { ring: 0, node: 1 })[0]).toHaveLength(3);
});

test('the handles of a smooth node turn together, of a corner alone', () => {
  const to = { x: -14, y: 0 };
  const place = { ring: 0, node: 0 };
  const smooth = moveHandle(bent, place, { side: 'after', to, smooth: true });
  expect(smooth[0]?.[0]?.before).toEqual({ x: -5, y: 0 });
  const alone = moveHandle(bent, place, { side: 'after', to, smooth: false });
  expect(alone[0]?.[0]?.before).toEqual({ x: -10, y: 5 });
});

test('a corner becomes smooth and a corner again', () => {
  const smooth = turnNode(bent, { ring: 0, node: 2 }, true);
  const node = smooth[0]?.[2];
  expect(node && isSmooth(node)).toBe(true);
  expect(turnNode(smooth, { ring: 0, node: 2 }, false)[0]?.[2]).toEqual({ x: 0, y: 12 });
});

test('an edge whose nodes were moved by hand is built like any other', () => {
  const built = buildEdge({
    ...plainBuild({ kind: 'outline', rings: bent }, 'by hand'),
    offset: 1,
  });
  expect(built.ok && built.value.parts).toBe(1);
});
