import { boxOf, type Point, type Ring } from '../../geometry/index.ts';

const { min, max, floor, ceil, abs } = Math;

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
  coverCells(touched, ring, { cover, cell, left, top, width });
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

interface Cells {
  readonly cover: Cover;
  readonly cell: number;
  /** The first column and row, and how many columns there are. */
  readonly left: number;
  readonly top: number;
  readonly width: number;
}

function coverCells(cells: Uint8Array, ring: Ring, { cover, cell, left, top, width }: Cells): void {
  const rows = width ? cells.length / width : 0;
  const fill = (row: number, first: number, behind: number): void => {
    cells.fill(1, row * width + max(0, first - left), row * width + min(width, behind - left));
  };
  const crossings = Array.from({ length: rows }, (): number[] => []);
  let before = ring[ring.length - 1] as Point;
  for (const point of ring) {
    const [upper, lower] = before.y < point.y ? [before, point] : [point, before];
    const span = lower.y - upper.y;
    const across = (y: number): number =>
      span === 0 ? upper.x : upper.x + ((y - upper.y) / span) * (lower.x - upper.x);
    const last = min(rows - 1, floor(lower.y / cell) + 1 - top);
    for (let row = max(0, floor(upper.y / cell) - 1 - top); row <= last; row++) {
      const [low, high] = [(row + top) * cell, (row + top + 1) * cell];
      const middle = (low + high) / 2;
      if (cover === 'touched' && lower.y > low + EPS && upper.y < high - EPS) {
        const [a, b] =
          span === 0 ? [upper.x, lower.x] : [across(max(low, upper.y)), across(min(high, lower.y))];
        fill(row, floor(min(a, b) / cell + EPS), ceil(max(a, b) / cell - EPS));
      }
      if (point.y > middle !== before.y > middle) crossings[row]?.push(across(middle));
    }
    before = point;
  }
  // A cell that no line passes is inside altogether or not at all: its middle tells.
  for (const [row, found] of crossings.entries()) {
    found.sort((one, other) => one - other);
    for (let pair = 0; pair + 1 < found.length; pair += 2) {
      const [first = 0, end = 0] = [found[pair], found[pair + 1]];
      fill(row, ceil(first / cell - 0.5), floor(end / cell + 0.5));
    }
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

/** The runs of a mask that is grown by so many steps to the side, up or down; of every other row. */
export function grownRuns({ left, top, right, bottom, runs }: Mask, by: number): Int32Array {
  const width = right - left + 2 * by;
  const height = bottom - top + 2 * by;
  const cells = new Uint8Array(width * height);
  for (let run = 0; run < runs.length; run += 3) {
    const first = (runs[run + 1] as number) - left;
    const behind = (runs[run + 2] as number) - left + 2 * by;
    for (let off = -by; off <= by; off++) {
      const at = ((runs[run] as number) - top + by + off) * width;
      cells.fill(1, at + first + abs(off), at + behind - abs(off));
    }
  }
  const grown: number[] = [];
  for (let row = 0; row < height; row += 2)
    for (let col = 0; col < width; col++) {
      const start = col;
      while (col < width && cells[row * width + col]) col++;
      if (col > start) grown.push(row - by + top, start - by + left, col - by + left);
    }
  return Int32Array.from(grown);
}

/** The deepest cell of a mask, and how deep it lies. */
export function deepestCell({ depth, left, top, right }: Mask): Point & { readonly deep: number } {
  let best = 0;
  for (let at = 1; at < depth.length; at++)
    if ((depth[at] as number) > (depth[best] as number)) best = at;
  const width = right - left;
  return { x: left + (best % width), y: top + floor(best / width), deep: depth[best] ?? 0 };
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
