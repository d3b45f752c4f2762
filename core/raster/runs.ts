const { floor, max, min, sqrt } = Math;

/** Stretches of covered pixels in the rows of a picture: run `at` is row y, from x to before end. */
export interface Runs {
  readonly count: number;
  readonly y: Int32Array;
  readonly x: Int32Array;
  readonly end: Int32Array;
  /** The first run of each row; one more for the end. */
  readonly rows: Int32Array;
}

/** Where a value is read for each pixel: `data[pixel * stride + offset]`. */
export interface Samples {
  readonly width: number;
  readonly height: number;
  readonly data: ArrayLike<number>;
  readonly stride: number;
  readonly offset: number;
}

/** The runs of all pixels whose value is over a threshold. */
export function runsOf(samples: Samples, threshold: number): Runs {
  const { width, height, data, stride, offset } = samples;
  let room = 4096;
  let [ys, xs, ends] = [new Int32Array(room), new Int32Array(room), new Int32Array(room)];
  const rows = new Int32Array(height + 1);
  let count = 0;
  const add = (y: number, x: number, end: number): void => {
    if (count === room) {
      room *= 2;
      [ys, xs, ends] = [enlarged(ys, room), enlarged(xs, room), enlarged(ends, room)];
    }
    ys[count] = y;
    xs[count] = x;
    ends[count++] = end;
  };
  for (let y = 0, from = offset; y < height; y++) {
    rows[y] = count;
    let start = -1;
    for (let x = 0; x < width; x++, from += stride) {
      const covered = (data[from] as number) > threshold;
      if (covered === start >= 0) continue;
      if (!covered) add(y, start, x);
      start = covered ? x : -1;
    }
    if (start >= 0) add(y, start, width);
  }
  rows[height] = count;
  return { count, y: ys, x: xs, end: ends, rows };
}

function enlarged(values: Int32Array, room: number): Int32Array<ArrayBuffer> {
  const made = new Int32Array(room);
  made.set(values);
  return made;
}

/** Runs that belong together. */
export interface RunGroup {
  readonly area: number;
  readonly left: number;
  readonly top: number;
  readonly right: number;
  readonly bottom: number;
  /** The numbers of the runs, in reading order. */
  readonly runs: readonly number[];
}

/**
 * The patches that runs form: those that touch, by sides or corners, or that come closer than `gap`
 * pixels to each other, edge to edge. Source: union-find over runs (Rosenfeld & Pfaltz 1966), with
 * the Euclidean distance between runs in place of touching.
 * @param apart tells of two runs that something keeps them apart, however close they are
 */
export function groupRuns(
  runs: Runs,
  height: number,
  gap = 0,
  apart?: (one: number, other: number) => boolean,
): RunGroup[] {
  const parent = new Int32Array(runs.count);
  for (let at = 0; at < runs.count; at++) parent[at] = at;
  const root = (of: number): number => {
    let at = of;
    while (parent[at] !== at) {
      parent[at] = parent[parent[at] as number] as number;
      at = parent[at] as number;
    }
    return at;
  };
  const join = (one: number, other: number): void => {
    if (apart?.(one, other)) return;
    const [a, b] = [root(one), root(other)];
    if (a !== b) parent[max(a, b)] = min(a, b);
  };
  const reach = floor(gap) + 1;
  for (let down = 0; down <= reach; down++) {
    // How far apart two runs may stand, sideways, when they are this many rows apart.
    const rowsBetween = max(0, down - 1);
    const left = gap * gap - rowsBetween * rowsBetween;
    if (left < 0) break;
    const sideways = floor(sqrt(left));
    for (let y = 0; y + down < height; y++) joinRows(runs, { y, down, sideways }, join);
  }
  return gathered(runs, root);
}

function joinRows(
  runs: Runs,
  { y, down, sideways }: { y: number; down: number; sideways: number },
  join: (one: number, other: number) => void,
): void {
  const { x, end, rows } = runs;
  let other = rows[y + down] as number;
  const lastOther = rows[y + down + 1] as number;
  for (let at = rows[y] as number; at < (rows[y + 1] as number); at++) {
    const from = (x[at] as number) - sideways;
    const to = (end[at] as number) + sideways;
    if (down === 0) {
      if (at + 1 < lastOther && (x[at + 1] as number) <= to) join(at, at + 1);
      continue;
    }
    while (other < lastOther && (end[other] as number) < from) other++;
    for (let next = other; next < lastOther && (x[next] as number) <= to; next++) join(at, next);
  }
}

function gathered(runs: Runs, root: (at: number) => number): RunGroup[] {
  const groups = new Map<
    number,
    { area: number; left: number; top: number; right: number; bottom: number; runs: number[] }
  >();
  for (let at = 0; at < runs.count; at++) {
    const key = root(at);
    const [x, end, y] = [runs.x[at] as number, runs.end[at] as number, runs.y[at] as number];
    const group = groups.get(key);
    if (!group) {
      groups.set(key, { area: end - x, left: x, top: y, right: end, bottom: y + 1, runs: [at] });
      continue;
    }
    group.area += end - x;
    if (x < group.left) group.left = x;
    if (end > group.right) group.right = end;
    group.bottom = y + 1;
    group.runs.push(at);
  }
  return [...groups.values()];
}
