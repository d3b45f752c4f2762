import type { Ring } from '../../geometry/index.ts';
import { Board } from './board.ts';
import { deepestCell, grownRuns, maskOf, overlapOf, type Mask } from './mask.ts';

const box = (left: number, top: number, right: number, bottom: number): Ring => [
  { x: left, y: top },
  { x: right, y: top },
  { x: right, y: bottom },
  { x: left, y: bottom },
];

const circle = (x: number, y: number, radius: number): Ring =>
  Array.from({ length: 720 }, (_, at) => ({
    x: x + radius * Math.cos((at * Math.PI) / 360),
    y: y + radius * Math.sin((at * Math.PI) / 360),
  }));

/** The cells of a mask as “column row”. */
function cellsOf({ runs }: Pick<Mask, 'runs'>): Set<string> {
  const cells = new Set<string>();
  for (let run = 0; run < runs.length; run += 3)
    for (let col = runs[run + 1] ?? 0; col < (runs[run + 2] ?? 0); col++)
      cells.add(`${col} ${runs[run]}`);
  return cells;
}

/** The cells up to 40 about the origin for which something holds of how far they lie from a point. */
function cellsWhere(holds: (col: number, row: number) => boolean): Set<string> {
  const cells = new Set<string>();
  for (let row = -40; row < 40; row++)
    for (let col = -40; col < 40; col++) if (holds(col, row)) cells.add(`${col} ${row}`);
  return cells;
}

describe('the cells of an outline', () => {
  test('a rectangle touches every cell that some of it lies in, and no other', () => {
    const mask = maskOf(box(1, 2, 3.5, 4), 0.5, 'touched');
    expect([mask.left, mask.top, mask.right, mask.bottom]).toEqual([2, 4, 7, 8]);
    expect(cellsOf(mask).size).toBe(5 * 4);
    expect(cellsOf(maskOf(box(1.1, 2.1, 3.1, 4.1), 0.5, 'touched')).size).toBe(5 * 5);
  });

  test('of a circle they are those nearer to its centre than its radius', () => {
    const [x, y, radius] = [3.3, -2.1, 9.7];
    const near = (col: number, at: number): number => Math.max(col - at, 0, at - (col + 1));
    const touched = cellsOf(maskOf(circle(x, y, radius), 1, 'touched'));
    const expected = cellsWhere((col, row) => Math.hypot(near(col, x), near(row, y)) < radius);
    // Between two of its 720 corners the outline lies 0.0001 within the circle.
    expect([...touched].filter((cell) => !expected.has(cell))).toEqual([]);
    const sure = cellsWhere((col, row) => Math.hypot(near(col, x), near(row, y)) < radius - 1e-3);
    expect([...sure].filter((cell) => !touched.has(cell))).toEqual([]);
    const middle = cellsOf(maskOf(circle(x, y, radius), 1, 'middle'));
    expect(middle).toEqual(
      cellsWhere((col, row) => Math.hypot(col + 0.5 - x, row + 0.5 - y) < radius),
    );
  });

  test('both sides of a notch are covered, and what lies between is not', () => {
    const notched: Ring = [
      ...[
        [0, 0],
        [6, 0],
        [6, 5],
        [4, 5],
        [4, 2],
        [2, 2],
        [2, 5],
        [0, 5],
      ].map(([x = 0, y = 0]) => ({ x, y })),
    ];
    const cells = cellsOf(maskOf(notched, 1, 'touched'));
    expect(cells.size).toBe(6 * 2 + 4 * 3);
    expect(cells.has('3 3')).toBe(false);
  });

  test('a sliver thinner than a cell is touched, though it holds no middle', () => {
    const sliver = box(0.1, 0.1, 4.9, 0.2);
    expect(cellsOf(maskOf(sliver, 1, 'touched')).size).toBe(5);
    expect(cellsOf(maskOf(sliver, 1, 'middle')).size).toBe(0);
  });
});

test('the deepest cell of a rectangle is in its middle, and depth is steps to the outside', () => {
  const mask = maskOf(box(10, 20, 17, 25), 1, 'touched');
  expect(deepestCell(mask)).toEqual({ x: 12, y: 22, deep: 3 });
  expect([...mask.depth.slice(0, 7)]).toEqual([1, 1, 1, 1, 1, 1, 1]);
  expect([...mask.depth.slice(14, 21)]).toEqual([1, 2, 3, 3, 3, 2, 1]);
});

test('a cell grown by steps is a diamond, of which every other row is given', () => {
  const runs = grownRuns(maskOf(box(5, 5, 6, 6), 1, 'touched'), 2);
  expect([...runs]).toEqual([3, 5, 6, 5, 3, 8, 7, 5, 6]);
});

test('two masks cover each other by the depth of the second one', () => {
  const square = maskOf(box(0, 0, 5, 5), 1, 'touched');
  const dot = maskOf(box(0, 0, 1, 1), 1, 'touched');
  const at = (x: number, y: number): number => overlapOf(dot, { x, y }, square, { x: 10, y: 10 });
  expect([at(10, 10), at(12, 12), at(14, 11), at(15, 12), at(9, 9)]).toEqual([1, 3, 1, 0, 0]);
  expect(overlapOf(square, { x: 13, y: 10 }, square, { x: 10, y: 10 })).toBe(8 + 5);
});

describe('a board', () => {
  const square = maskOf(box(0, 0, 3, 3), 1, 'touched');

  test('tells what lies under a mask, until it is taken away again', () => {
    const board = new Board(20, 10);
    const ends = board.ends(square);
    board.lay(square, 4, 2, 1);
    board.settle();
    // A square of three has depth 1 around its middle, which has 2.
    expect(board.under(ends, 4, 2, Infinity)).toBe(10);
    expect(board.under(ends, 6, 4, Infinity)).toBe(1);
    expect(board.under(ends, 7, 2, Infinity)).toBe(0);
    board.keep();
    board.lay(square, 4, 2, 2);
    board.settle();
    expect(board.under(ends, 4, 2, Infinity)).toBe(30);
    board.back();
    board.settle();
    expect(board.under(ends, 4, 2, Infinity)).toBe(10);
    board.lay(square, 4, 2, -1);
    board.settle();
    expect(board.under(ends, 4, 2, Infinity)).toBe(0);
  });

  test('knows how far each cell is from what lies there', () => {
    const board = new Board(20, 10);
    expect(Math.min(...board.clearance())).toBeGreaterThan(29);
    board.lay(square, 4, 2, 1);
    board.lay(square, 14, 6, 1);
    board.settle();
    const taken = (x: number, y: number): boolean =>
      (x >= 4 && x < 7 && y >= 2 && y < 5) || (x >= 14 && x < 17 && y >= 6 && y < 9);
    const steps = (x: number, y: number): number => {
      let least = Infinity;
      for (let row = 0; row < 10; row++)
        for (let col = 0; col < 20; col++)
          if (taken(col, row)) least = Math.min(least, Math.abs(col - x) + Math.abs(row - y));
      return least;
    };
    expect([...board.clearance()]).toEqual(
      Array.from({ length: 200 }, (_, at) => steps(at % 20, Math.floor(at / 20))),
    );
    board.lay(square, 14, 6, -1);
    board.settle();
    expect(board.clearance()[7 * 20 + 15]).toBe(9 + 3);
  });

  test('sums runs of cells, those beyond it by what they are said to count', () => {
    const board = new Board(20, 10);
    board.lay(square, 0, 0, 1);
    board.settle();
    const rows = Int32Array.from([0, 0, 4, 1, 0, 4]);
    expect(board.within(rows, { x: 0, y: 0 }, 100)).toBe(3 + 4);
    expect(board.within(rows, { x: -1, y: 0 }, 100)).toBe(3 + 4 + 200);
    expect(board.within(rows, { x: 0, y: -1 }, 100)).toBe(3 + 400);
    expect(board.within(rows, { x: 18, y: 9 }, 100)).toBe(2 * 100 + 4 * 100);
    expect(board.within(rows, { x: 10, y: 5 }, 100)).toBe(0);
  });
});
