import type { PieceElement } from '../../../core/piece/index.ts';
import { elementBox, snapMove, snapTargets } from './snap.ts';

const plate = (x: number, y: number, width = 10, height = 6, angle = 0): PieceElement => ({
  id: 'p',
  kind: 'plate',
  x,
  y,
  angle,
  locked: false,
  shape: { kind: 'rectangle', width, height, radius: 0 },
  fill: null,
  line: null,
});
const PIECE = { width: 58, height: 58, safe: 2 };
const box = { left: -5, top: -3, right: 5, bottom: 3 };

test('the box of an element turned by a quarter has its sides swapped', () => {
  const turned = elementBox(plate(10, 0, 10, 6, 90));
  expect(
    [turned.left, turned.right, turned.top, turned.bottom].map(
      (value) => Math.round(value * 1e6) / 1e6,
    ),
  ).toEqual([7, 13, -5, 5]);
});

test('a move near the middle ends in the middle, with a guide to show it', () => {
  const snapped = snapMove(box, { dx: 0.4, dy: 11 }, snapTargets(PIECE, []), 0.6);
  expect(snapped).toEqual({ dx: 0, dy: 11, guides: [{ axis: 'x', at: 0 }] });
});

test('sides snap to the edge, to the safe inset and to other elements', () => {
  const toEdge = snapMove(box, { dx: 23.8, dy: 20 }, snapTargets(PIECE, []), 0.6);
  expect(toEdge.dx).toBeCloseTo(24, 6);
  expect(snapMove(box, { dx: 0, dy: 24.3 }, snapTargets(PIECE, []), 0.6).dy).toBeCloseTo(24, 6);
  const beside = snapMove(box, { dx: 9.7, dy: 9 }, snapTargets(PIECE, [plate(20, 0)]), 0.6);
  expect(beside.dx).toBeCloseTo(10, 6);
});

test('out of reach nothing snaps, and the nearer of two targets wins', () => {
  expect(snapMove(box, { dx: 9, dy: 9 }, { x: [0, 100], y: [] }, 0.5)).toEqual({
    dx: 9,
    dy: 9,
    guides: [],
  });
  expect(snapMove(box, { dx: 0, dy: 0 }, { x: [0.4, 0.1], y: [] }, 0.5).dx).toBeCloseTo(0.1, 9);
});
