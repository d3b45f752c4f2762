import type { Mask } from './mask.ts';

const { abs, min, max } = Math;

/** Farther than that from what lies there all cells are alike. */
const FAR = 250;

/** The cells of a sheet, with what lies on each summed up, so that a run of cells is summed at once. */
export class Board {
  readonly cols: number;
  readonly rows: number;
  private readonly stride: number;
  private readonly cells: Int32Array;
  private readonly kept: Int32Array;
  /** For each row: the sums of the cells before each column. */
  private readonly sums: Int32Array;
  /** For each row the first column that has changed since the sums were made, and since it was kept. */
  private readonly changed: Int32Array;
  private readonly since: Int32Array;
  private readonly clear: Uint8Array;
  private clearKnown = false;

  constructor(cols: number, rows: number) {
    this.cols = cols;
    this.rows = rows;
    this.stride = cols + 1;
    this.cells = new Int32Array(cols * rows);
    this.kept = new Int32Array(cols * rows);
    this.sums = new Int32Array(this.stride * rows);
    this.changed = new Int32Array(rows).fill(cols);
    this.since = new Int32Array(rows).fill(cols);
    this.clear = new Uint8Array(cols * rows);
  }

  /** Remembers how it lies, for `back`. */
  keep(): void {
    this.kept.set(this.cells);
    this.since.fill(this.cols);
  }

  /** As it lay when it was kept. */
  back(): void {
    this.cells.set(this.kept);
    const { changed, since, rows } = this;
    for (let row = 0; row < rows; row++)
      if ((since[row] as number) < (changed[row] as number)) changed[row] = since[row] as number;
  }

  /** Lays a mask down so many times, by its depth; negative takes it away. */
  lay(mask: Mask, x: number, y: number, times: number): void {
    const { runs, depth, left, top } = mask;
    const { cells, cols, changed, since } = this;
    const width = mask.right - left;
    for (let run = 0; run < runs.length; run += 3) {
      const row = runs[run] as number;
      const first = (runs[run + 1] as number) + x;
      if (first < (changed[row + y] as number)) changed[row + y] = first;
      if (first < (since[row + y] as number)) since[row + y] = first;
      let cell = (row + y) * cols + first;
      let at = (row - top) * width + (runs[run + 1] as number) - left;
      const end = (row - top) * width + (runs[run + 2] as number) - left;
      for (; at < end; at++, cell++)
        cells[cell] = (cells[cell] as number) + (depth[at] as number) * times;
    }
  }

  /** Sums up what has changed. */
  settle(): void {
    const { cells, sums, cols, rows, stride, changed } = this;
    for (let row = 0; row < rows; row++) {
      const col = changed[row] as number;
      if (col === cols) continue;
      changed[row] = cols;
      this.clearKnown = false;
      let at = row * stride + col;
      let sum = sums[at] as number;
      const end = (row + 1) * cols;
      for (let cell = row * cols + col; cell < end; cell++) {
        sums[at++] = sum;
        sum += cells[cell] as number;
      }
      sums[at] = sum;
    }
  }

  /** The ends of a mask's runs in the sums, for `under`; of each so many rows only. */
  ends({ runs, top }: Mask, every = 1): Int32Array {
    const ends: number[] = [];
    for (let run = 0; run < runs.length; run += 3) {
      const row = runs[run] as number;
      if ((row - top) % every !== every >> 1) continue;
      const at = row * this.stride;
      ends.push(at + (runs[run + 1] as number), at + (runs[run + 2] as number));
    }
    return fromTheMiddle(ends);
  }

  /**
   * Of each cell how many steps to the side, up or down it is to one on which something lies; 0 on such
   * a one. As it was settled. Source: Rosenfeld & Pfaltz (1966).
   */
  clearance(): Uint8Array {
    const { cells, clear, cols, rows } = this;
    if (this.clearKnown) return clear;
    this.clearKnown = true;
    for (let row = 0, at = 0; row < rows; row++)
      for (let col = 0; col < cols; col++, at++) {
        const before = col ? (clear[at - 1] as number) : FAR;
        const above = row ? (clear[at - cols] as number) : FAR;
        clear[at] = (cells[at] as number) > 0 ? 0 : min(before + 1, above + 1, FAR);
      }
    for (let row = rows - 1, at = rows * cols - 1; row >= 0; row--)
      for (let col = cols - 1; col >= 0; col--, at--) {
        const behind = col < cols - 1 ? (clear[at + 1] as number) : FAR;
        const below = row < rows - 1 ? (clear[at + cols] as number) : FAR;
        clear[at] = min(clear[at] as number, behind + 1, below + 1);
      }
    return clear;
  }

  /** What lies in runs of cells at a place (row, first column, column behind the last); outside `beyond` a cell. */
  within(runs: Int32Array, { x, y }: { x: number; y: number }, beyond: number): number {
    const { sums, stride, cols, rows } = this;
    let sum = 0;
    for (let run = 0; run < runs.length; run += 3) {
      const row = (runs[run] as number) + y;
      const first = (runs[run + 1] as number) + x;
      const behind = (runs[run + 2] as number) + x;
      const inside = row >= 0 && row < rows;
      const from = inside ? max(0, first) : first;
      const to = inside ? min(cols, behind) : first;
      sum += (behind - first - (to - from)) * beyond;
      if (inside)
        sum += (sums[row * stride + to] as number) - (sums[row * stride + from] as number);
    }
    return sum;
  }

  /** What lies under a mask at a place; stops counting beyond `enough`. */
  under(ends: Int32Array, x: number, y: number, enough: number): number {
    const { sums } = this;
    const at = y * this.stride + x;
    let sum = 0;
    for (let end = 0; end < ends.length; end += 2) {
      sum +=
        (sums[at + (ends[end + 1] as number)] as number) -
        (sums[at + (ends[end] as number)] as number);
      if (sum > enough) return sum;
    }
    return sum;
  }
}

/** Pairs of numbers, the middle ones first: where an outline is deep most is found soonest. */
function fromTheMiddle(ends: readonly number[]): Int32Array {
  const count = ends.length / 2;
  const middle = (count - 1) / 2;
  const order = Array.from({ length: count }, (_, at) => at).sort(
    (one, other) => abs(one - middle) - abs(other - middle),
  );
  return Int32Array.from(order.flatMap((at) => ends.slice(2 * at, 2 * at + 2)));
}
