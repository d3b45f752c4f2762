import type { Point } from '../geometry/index.ts';
import { components, darkness, type RgbaImage } from '../raster/index.ts';

/** The corners of a sheet in a picture, px: top left, top right, bottom right, bottom left. */
export type SheetCorners = readonly [Point, Point, Point, Point];

const COARSE = 480; // px: the longer side of the small picture in which the sheet is looked for first
const LEAST_CONTRAST = 12; // grey levels between the sheet and what it lies on
const PROBES = 90; // along each side

const { abs, floor, max, min, round } = Math;

/**
 * Finds the four corners of a sheet that lies on something darker or lighter, within a few hundredths
 * of a pixel: a small picture shows where it is, then each side is a line through many places where
 * the grey passes half way, outliers dropped. Where the sheet fills the picture, these are its corners.
 */
export function findSheetCorners(image: RgbaImage): SheetCorners {
  const whole: SheetCorners = [
    { x: 0, y: 0 },
    { x: image.width, y: 0 },
    { x: image.width, y: image.height },
    { x: 0, y: image.height },
  ];
  const dark = darkness(image);
  const coarse = findCoarse(dark, image.width, image.height);
  if (!coarse) return whole;
  const lines = coarse.corners.map((from, at) => {
    const to = coarse.corners[(at + 1) % 4] ?? from;
    return sideLine({ dark, width: image.width, height: image.height, ...coarse }, from, to);
  });
  const corners = lines.map((line, at) => {
    const before = lines[(at + 3) % 4];
    return (line && before && crossing(before, line)) ?? coarse.corners[at] ?? { x: 0, y: 0 };
  });
  return corners as unknown as SheetCorners;
}

interface Coarse {
  readonly corners: readonly Point[];
  /** The darkness half way between the sheet and what it lies on, and whether the sheet is the darker. */
  readonly half: number;
  readonly darker: boolean;
}

function median(values: readonly number[]): number {
  return [...values].sort((a, b) => a - b)[floor(values.length / 2)] ?? 0;
}

function findCoarse(dark: Uint8Array, width: number, height: number): Coarse | undefined {
  const step = max(1, Math.ceil(max(width, height) / COARSE));
  const [wide, high] = [floor(width / step), floor(height / step)];
  const small = new Float32Array(wide * high);
  for (let y = 0; y < high; y++)
    for (let x = 0; x < wide; x++) {
      let sum = 0;
      for (let v = 0; v < step; v++)
        for (let u = 0; u < step; u++) sum += dark[(y * step + v) * width + x * step + u] ?? 0;
      small[y * wide + x] = sum / (step * step);
    }
  const rim: number[] = [];
  const inside: number[] = [];
  small.forEach((value, at) => {
    const [x, y] = [at % wide, floor(at / wide)];
    const edge = min(x, y, wide - 1 - x, high - 1 - y);
    if (edge < 2) rim.push(value);
    else if (abs(x / wide - 0.5) < 0.25 && abs(y / high - 0.5) < 0.25) inside.push(value);
  });
  const [under, sheet] = [median(rim), median(inside)];
  if (abs(under - sheet) < LEAST_CONTRAST) return undefined;
  const half = (under + sheet) / 2;
  const darker = sheet > under;
  const mask = small.map((value) => (value > half === darker ? 1 : 0));
  const labels = new Int32Array(mask.length);
  const patches = components(mask, wide, 0.5, labels);
  const largest = patches.reduce(
    (best, { area }, at) => (area > (patches[best]?.area ?? 0) ? at : best),
    0,
  );
  const far = [-Infinity, -Infinity, -Infinity, -Infinity];
  const corners: Point[] = [];
  labels.forEach((label, at) => {
    if (label !== largest + 1) return;
    const [x, y] = [at % wide, floor(at / wide)];
    [-x - y, x - y, x + y, y - x].forEach((reach, corner) => {
      if (reach <= (far[corner] ?? 0)) return;
      far[corner] = reach;
      corners[corner] = { x: (x + 0.5) * step, y: (y + 0.5) * step };
    });
  });
  return corners.length === 4 ? { corners, half, darker } : undefined;
}

/** A line as `nx x + ny y = d`. */
interface Line {
  readonly nx: number;
  readonly ny: number;
  readonly d: number;
}

interface Seen extends Coarse {
  readonly dark: Uint8Array;
  readonly width: number;
  readonly height: number;
}

/** The side of the sheet near the line between two rough corners; undefined when too little of it is seen. */
function sideLine(seen: Seen, from: Point, to: Point): Line | undefined {
  const length = Math.hypot(to.x - from.x, to.y - from.y);
  const [tx, ty] = [(to.x - from.x) / length, (to.y - from.y) / length];
  const [nx, ny] = [ty, -tx]; // out of the sheet, as the corners go clockwise
  const reach = max(8, length * 0.02);
  const found: Point[] = [];
  for (let probe = 0; probe < PROBES; probe++) {
    const along = length * (0.05 + (0.9 * (probe + 0.5)) / PROBES);
    const at = edgeOn(seen, { x: from.x + tx * along, y: from.y + ty * along }, [nx, ny], reach);
    if (at !== undefined)
      found.push({ x: from.x + tx * along + nx * at, y: from.y + ty * along + ny * at });
  }
  return found.length < PROBES / 3 ? undefined : lineThrough(found);
}

/** How far out the grey passes half way, looking inwards from outside; undefined where it does not. */
function edgeOn(
  { dark, width, height, half, darker }: Seen,
  at: Point,
  [nx, ny]: readonly [number, number],
  reach: number,
): number | undefined {
  const level = (out: number): number | undefined => {
    let sum = 0;
    // Three places beside each other, against noise.
    for (let side = -1; side <= 1; side++) {
      const u = at.x + nx * out - ny * side - 0.5;
      const v = at.y + ny * out + nx * side - 0.5;
      const [left, top] = [floor(u), floor(v)];
      if (left < 0 || top < 0 || left + 1 >= width || top + 1 >= height) return undefined;
      const [du, dv] = [u - left, v - top];
      const i = top * width + left;
      const upper = (dark[i] ?? 0) * (1 - du) + (dark[i + 1] ?? 0) * du;
      const lower = (dark[i + width] ?? 0) * (1 - du) + (dark[i + width + 1] ?? 0) * du;
      sum += upper * (1 - dv) + lower * dv;
    }
    return sum / 3;
  };
  let before: number | undefined;
  for (let out = reach; out >= -reach; out -= 0.5) {
    const here = level(out);
    if (
      here !== undefined &&
      before !== undefined &&
      here > half === darker &&
      before > half !== darker
    )
      return out + (0.5 * (here - half)) / (here - before);
    before = here;
  }
  return undefined;
}

/** The line through points by total least squares, three times without the farthest ones. */
function lineThrough(points: readonly Point[]): Line {
  let kept = points;
  let line: Line = { nx: 1, ny: 0, d: 0 };
  for (let pass = 0; pass < 4; pass++) {
    const n = kept.length;
    const mx = kept.reduce((sum, { x }) => sum + x, 0) / n;
    const my = kept.reduce((sum, { y }) => sum + y, 0) / n;
    let [xx, xy, yy] = [0, 0, 0];
    for (const { x, y } of kept) {
      xx += (x - mx) ** 2;
      xy += (x - mx) * (y - my);
      yy += (y - my) ** 2;
    }
    const turn = Math.atan2(2 * xy, xx - yy) / 2;
    const [nx, ny] = [-Math.sin(turn), Math.cos(turn)];
    line = { nx, ny, d: nx * mx + ny * my };
    const off = ({ x, y }: Point): number => abs(nx * x + ny * y - line.d);
    const bound = max(0.3, 2.5 * median(points.map(off)));
    kept = points.filter((point) => off(point) <= bound);
    if (kept.length < 3) return line;
  }
  return line;
}

function crossing(one: Line, other: Line): Point | undefined {
  const area = one.nx * other.ny - one.ny * other.nx;
  if (abs(area) < 0.2) return undefined; // nearly parallel: not two sides of a sheet
  const x = (one.d * other.ny - other.d * one.ny) / area;
  const y = (one.nx * other.d - other.nx * one.d) / area;
  return { x: round(x * 1e6) / 1e6, y: round(y * 1e6) / 1e6 };
}
