import { boxOf, type Point, type Ring } from '../../geometry/index.ts';

const { min, max, floor, ceil } = Math;

/**
 * An outline turned one way, as the cells of a grid that it touches. Cells are counted from the
 * outline's own origin, which always stands on a corner of the grid: what is worked out once holds at
 * every place.
 */
export interface Mask {
  /** In which columns and rows there are cells; the last ones are not included. */
  readonly left: number;
  readonly top: number;
  readonly right: number;
  readonly bottom: number;
  /** Row, first column and column behind the last, three numbers for each run of cells. */
  readonly runs: Int32Array;
  /** For each row where its runs begin, and behind the last row where they end. */
  readonly rowStarts: Int32Array;
  /** For each cell of the box, row by row: how deep it lies in the outline, 0 outside. */
  readonly depth: Uint8Array;
  /** For each row the sums of the depths before each column, one more than there are columns. */
  readonly sums: Int32Array;
}

const EPS = 1e-7;
/** Deeper than that all cells are alike. */
const DEEPEST = 40;

/** Which cells an outline has: all that it touches, or those whose middle it holds. */
export type Cover = 'touched' | 'middle';

/** The cells of a ring's inside. */
export function maskOf(ring: Ring, cell: number, cover: Cover): Mask {
  const box = boxOf(ring) ?? { left: 0, top: 0, right: 0, bottom: 0 };
  const left = floor(box.left / cell + EPS);
  const top = floor(box.top / cell + EPS);
  const right = ceil(box.right / cell - EPS);
  const bottom = ceil(box.bottom / cell - EPS);
  const width = right - left;
  const touched = new Uint8Array(width * (bottom - top));
  for (let row = top; row < bottom; row++)
    coverRow(ring, cover, {
      row,
      cell,
      from: left,
      cells: touched,
      at: (row - top) * width,
      width,
    });
  const runs: number[] = [];
  const rowStarts = new Int32Array(bottom - top + 1);
  for (let row = top; row < bottom; row++) {
    rowStarts[row - top] = runs.length;
    const at = (row - top) * width;
    for (let col = 0; col < width; col++) {
      if (!touched[at + col]) continue;
      const start = col;
      while (col < width && touched[at + col]) col++;
      runs.push(row, left + start, left + col);
    }
  }
  rowStarts[bottom - top] = runs.length;
  const depth = depthOf(touched, width, bottom - top);
  return {
    left,
    top,
    right,
    bottom,
    runs: Int32Array.from(runs),
    rowStarts,
    depth,
    sums: sumsOf(depth, width),
  };
}

interface RowOfCells {
  readonly row: number;
  readonly cell: number;
  readonly from: number;
  readonly cells: Uint8Array;
  readonly at: number;
  readonly width: number;
}

function coverRow(
  ring: Ring,
  cover: Cover,
  { row, cell, from, cells, at, width }: RowOfCells,
): void {
  const [low, high] = [row * cell, (row + 1) * cell];
  const middle = (low + high) / 2;
  const fill = (first: number, behind: number): void => {
    cells.fill(1, at + max(0, first), at + min(width, behind));
  };
  const crossings: number[] = [];
  let before = ring[ring.length - 1] as Point;
  for (const point of ring) {
    const [upper, lower] = before.y < point.y ? [before, point] : [point, before];
    if (cover === 'touched' && lower.y > low + EPS && upper.y < high - EPS) {
      const span = lower.y - upper.y;
      const x = (y: number): number =>
        span === 0 ? upper.x : upper.x + ((y - upper.y) / span) * (lower.x - upper.x);
      const [a, b] =
        span === 0 ? [upper.x, lower.x] : [x(max(low, upper.y)), x(min(high, lower.y))];
      fill(floor(min(a, b) / cell + EPS) - from, ceil(max(a, b) / cell - EPS) - from);
    }
    if (point.y > middle !== before.y > middle)
      crossings.push(
        before.x + ((middle - before.y) / (point.y - before.y)) * (point.x - before.x),
      );
    before = point;
  }
  // A cell that no line passes is inside altogether or not at all: its middle tells.
  crossings.sort((one, other) => one - other);
  for (let pair = 0; pair + 1 < crossings.length; pair += 2) {
    const [first = 0, last = 0] = [crossings[pair], crossings[pair + 1]];
    fill(ceil(first / cell - 0.5) - from, floor(last / cell + 0.5) - from);
  }
}

function sumsOf(depth: Uint8Array, width: number): Int32Array {
  const rows = width ? depth.length / width : 0;
  const sums = new Int32Array((width + 1) * rows);
  for (let row = 0, at = 0; row < rows; row++) {
    let sum = 0;
    for (let col = 0; col <= width; col++) {
      sums[at++] = sum;
      sum += depth[row * width + col] ?? 0;
    }
  }
  return sums;
}

/** The distance in cells to the outside, by steps to the side and up. Source: Rosenfeld & Pfaltz (1966). */
function depthOf(cells: Uint8Array, width: number, height: number): Uint8Array {
  const depth = new Uint8Array(cells.length);
  const of = (x: number, y: number): number =>
    x < 0 || y < 0 || x >= width || y >= height ? 0 : (depth[y * width + x] as number);
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++)
      if (cells[y * width + x])
        depth[y * width + x] = min(of(x - 1, y) + 1, of(x, y - 1) + 1, DEEPEST);
  for (let y = height - 1; y >= 0; y--)
    for (let x = width - 1; x >= 0; x--)
      if (cells[y * width + x])
        depth[y * width + x] = min(
          depth[y * width + x] as number,
          of(x + 1, y) + 1,
          of(x, y + 1) + 1,
        );
  return depth;
}

/** How much two masks at places cover each other: the depth of the second one, summed. */
export function overlapOf(
  one: Mask,
  at: { x: number; y: number },
  other: Mask,
  to: { x: number; y: number },
): number {
  const [dx, dy] = [at.x - to.x, at.y - to.y];
  if (
    one.left + dx >= other.right ||
    one.right + dx <= other.left ||
    one.top + dy >= other.bottom ||
    one.bottom + dy <= other.top
  )
    return 0;
  const width = other.right - other.left;
  const from = max(one.top, other.top - dy);
  const behind = min(one.bottom, other.bottom - dy);
  const first = one.rowStarts[from - one.top] as number;
  const end = one.rowStarts[behind - one.top] as number;
  const { sums } = other;
  const { runs } = one;
  const shift = dx - other.left;
  let sum = 0;
  for (let run = first; run < end; run += 3) {
    const row = ((runs[run] as number) + dy - other.top) * (width + 1);
    const start = max(0, (runs[run + 1] as number) + shift);
    const stop = min(width, (runs[run + 2] as number) + shift);
    if (stop > start) sum += (sums[row + stop] as number) - (sums[row + start] as number);
  }
  return sum;
}
