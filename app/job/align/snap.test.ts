import { boxAbout } from '../../../core/geometry/index.ts';
import { snapMove, snapTargets } from './snap.ts';

const PIECE = { width: 58, height: 58, safe: 2 };
const box = { left: -5, top: -3, right: 5, bottom: 3 };

test('a move near the middle ends in the middle, with a guide to show it', () => {
  const snapped = snapMove(box, { dx: 0.4, dy: 11 }, snapTargets(PIECE, []), 0.6);
  expect(snapped).toEqual({ dx: 0, dy: 11, guides: [{ axis: 'x', at: 0 }], gaps: [] });
});

test('sides snap to the edge, to the safe inset and to other elements', () => {
  const toEdge = snapMove(box, { dx: 23.8, dy: 20 }, snapTargets(PIECE, []), 0.6);
  expect(toEdge.dx).toBeCloseTo(24, 6);
  expect(snapMove(box, { dx: 0, dy: 24.3 }, snapTargets(PIECE, []), 0.6).dy).toBeCloseTo(24, 6);
  const beside = snapMove(
    box,
    { dx: 9.7, dy: 9 },
    snapTargets(PIECE, [boxAbout({ x: 20, y: 0 }, 10, 6)]),
    0.6,
  );
  expect(beside.dx).toBeCloseTo(10, 6);
});

test('things snap to the middle and the sides of a zone, and to what is safe in it', () => {
  const zones = [boxAbout({ x: -15, y: 0 }, 20, 58)];
  const targets = snapTargets({ ...PIECE, zones }, []);
  const moved = (dx: number): number => snapMove(box, { dx, dy: 11 }, targets, 0.6).dx;
  expect(moved(-14.7)).toBeCloseTo(-15, 9);
  // The zone ends at -5; a box of 10 mm beside it stands at 0 less 10, and 2 mm farther in where it is safe.
  expect(moved(-10.3)).toBeCloseTo(-10, 9);
  expect(moved(-12.4)).toBeCloseTo(-12, 9);
});

test('out of reach nothing snaps, and the nearer of two targets wins', () => {
  expect(snapMove(box, { dx: 9, dy: 9 }, { x: [0, 100], y: [], boxes: [] }, 0.5)).toEqual({
    dx: 9,
    dy: 9,
    guides: [],
    gaps: [],
  });
  expect(snapMove(box, { dx: 0, dy: 0 }, { x: [0.4, 0.1], y: [], boxes: [] }, 0.5).dx).toBeCloseTo(
    0.1,
    9,
  );
});

test('between two neighbours, and beyond them, gaps become equal and are shown', () => {
  // From -20 to -16 and from 16 to 20; the moved box is 10 wide.
  const neighbours = [-18, 18].map((x) => boxAbout({ x, y: 0 }, 4, 6));
  const targets = { x: [], y: [], boxes: neighbours };
  const middle = snapMove(boxAbout({ x: 1, y: 0 }, 10, 6), { dx: -0.7, dy: 0 }, targets, 0.6);
  expect(middle.dx).toBeCloseTo(-1, 9);
  expect(middle.gaps.map(({ from, to }) => [from, to])).toEqual([
    [-16, -5],
    [5, 16],
  ]);
  // The gap between them is 32, so the next stands from 52.
  const beyond = snapMove(boxAbout({ x: 0, y: 0 }, 10, 6), { dx: 56.8, dy: 0 }, targets, 0.6);
  expect(beyond.dx).toBeCloseTo(57, 9);
  // What does not stand beside it has no part in it.
  const below = snapMove(boxAbout({ x: 1, y: 40 }, 10, 6), { dx: -0.7, dy: 0 }, targets, 0.6);
  expect(below.dx).toBe(-0.7);
});

test('where a grid is shown sides come to stand on it, unless something nearer takes hold', () => {
  const targets = { x: [3.4], y: [], boxes: [], grid: 5 };
  const free = boxAbout({ x: 0, y: 0 }, 4, 4);
  expect(snapMove(free, { dx: 6.2, dy: 0 }, targets, 0.5).dx).toBeCloseTo(7, 9);
  expect(snapMove(free, { dx: 1.2, dy: 0 }, targets, 0.5).dx).toBeCloseTo(1.4, 9);
  // With snapping off there is no grid either.
  expect(snapMove(free, { dx: 6.2, dy: 0 }, targets, 0).dx).toBe(6.2);
});
