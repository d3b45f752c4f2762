import { boxAbout } from '../../../core/geometry/index.ts';
import { movesTo, type Movable } from './align.ts';

const one = (id: string, x: number, y: number, width: number, height = 4): Movable => ({
  ids: [id],
  box: boxAbout({ x, y }, width, height),
});
const FRAME = boxAbout({ x: 0, y: 0 }, 60, 40);
const row = [one('a', -20, 0, 10), one('b', -4, 3, 4), one('c', 20, -5, 10)];

test('sides come into line with the outermost of the chosen ones', () => {
  expect(movesTo('lefts', row, FRAME)).toEqual({
    a: { dx: 0, dy: 0 },
    b: { dx: -19, dy: 0 },
    c: { dx: -40, dy: 0 },
  });
  expect(movesTo('bottoms', row, FRAME).c).toEqual({ dx: 0, dy: 8 });
  expect(movesTo('middles-down', row, FRAME).a).toEqual({ dx: 0, dy: -1 });
});

test('one alone is brought into line with the piece', () => {
  expect(movesTo('rights', [one('a', -20, 0, 10)], FRAME)).toEqual({ a: { dx: 45, dy: 0 } });
  expect(movesTo('middles-across', [one('a', -20, 0, 10)], FRAME)).toEqual({
    a: { dx: 20, dy: 0 },
  });
});

test('gaps are shared out evenly between the outermost two, which stay', () => {
  // From -25 to 25 with 24 of it taken: two gaps of 13.
  expect(movesTo('gaps-across', row, FRAME)).toEqual({
    a: { dx: 0, dy: 0 },
    b: { dx: 4, dy: 0 },
    c: { dx: 0, dy: 0 },
  });
  expect(movesTo('gaps-across', row.slice(0, 2), FRAME)).toEqual({});
});

test('the elements of a group move as one', () => {
  const group: Movable = { ids: ['x', 'y'], box: boxAbout({ x: 10, y: 0 }, 20, 4) };
  const moves = movesTo('lefts', [group, one('a', -20, 0, 10)], FRAME);
  expect(moves.x).toEqual({ dx: -25, dy: 0 });
  expect(moves.y).toEqual(moves.x);
});
