import type { WorkingImage } from './working.ts';

const { max, min, round, sqrt } = Math;

/** A picture cut into regions of like colour. */
export interface Regions {
  readonly count: number;
  /** The region of each pixel. */
  readonly of: Int32Array;
  /** How many pixels each has. */
  readonly area: Float64Array;
  /** The mean colour of each, three numbers. */
  readonly colors: Float64Array;
}

const WANTED = 3000;
const ROUNDS = 3;
/** How different in colour counts as much as a region's own side in distance. */
const COMPACT = 0.09;
/** A patch of a region that is smaller than this share of one goes to a neighbour. */
const SPLINTER = 0.2;

/** Cuts a picture into regions. Source: R. Achanta and others, SLIC Superpixels (2012). */
export function regionsOf(image: WorkingImage): Regions {
  const { width, height, lab } = image;
  const side = max(3, sqrt((width * height) / WANTED));
  const owners = clustered(image, side);
  const { of, count } = connected(owners, width, SPLINTER * side * side);
  const area = new Float64Array(count);
  const colors = new Float64Array(count * 3);
  for (let pixel = 0; pixel < of.length; pixel++) {
    const region = of[pixel] as number;
    area[region] = (area[region] as number) + 1;
    for (let c = 0; c < 3; c++)
      colors[region * 3 + c] = (colors[region * 3 + c] as number) + (lab[pixel * 3 + c] as number);
  }
  for (let at = 0; at < colors.length; at++)
    colors[at] = (colors[at] as number) / (area[Math.floor(at / 3)] as number);
  return { count, of, area, colors };
}

/** The nearest centre of each pixel, in place and colour. */
function clustered({ width, height, lab }: WorkingImage, side: number): Int32Array {
  const [across, down] = [max(1, round(width / side)), max(1, round(height / side))];
  // Of each centre: its place and colour, then their sums and how many pixels it has.
  const centres = new Float64Array(across * down * 5);
  const put = (centre: number, x: number, y: number, pixel: number): void => {
    centres[centre] = x;
    centres[centre + 1] = y;
    for (let c = 0; c < 3; c++) centres[centre + 2 + c] = lab[pixel * 3 + c] as number;
  };
  for (let row = 0, centre = 0; row < down; row++)
    for (let column = 0; column < across; column++, centre += 5) {
      const x = min(width - 1, ((column + 0.5) * width) / across);
      const y = min(height - 1, ((row + 0.5) * height) / down);
      put(centre, x, y, (y | 0) * width + (x | 0));
    }
  const owners = new Int32Array(width * height);
  const distances = new Float32Array(width * height);
  const near = 1 / (side * side);
  const alike = 1 / COMPACT ** 2;
  const reach = side * 1.15;
  for (let round = 0; round < ROUNDS; round++) {
    distances.fill(Infinity);
    for (let owner = 0, centre = 0; centre < centres.length; owner++, centre += 5) {
      const [cx, cy] = [centres[centre] as number, centres[centre + 1] as number];
      const [cl, ca, cb] = [
        centres[centre + 2] as number,
        centres[centre + 3] as number,
        centres[centre + 4] as number,
      ];
      const [left, right] = [max(0, (cx - reach) | 0), min(width - 1, (cx + reach) | 0)];
      const bottom = min(height - 1, (cy + reach) | 0);
      for (let y = max(0, (cy - reach) | 0); y <= bottom; y++) {
        const rise = (y - cy) * (y - cy) * near;
        for (let x = left, pixel = y * width + left; x <= right; x++, pixel++) {
          const at = pixel * 3;
          const l = (lab[at] as number) - cl;
          const a = (lab[at + 1] as number) - ca;
          const b = (lab[at + 2] as number) - cb;
          const distance = rise + (x - cx) * (x - cx) * near + (l * l + a * a + b * b) * alike;
          if (distance >= (distances[pixel] as number)) continue;
          distances[pixel] = distance;
          owners[pixel] = owner;
        }
      }
    }
    moveCentres(centres, owners, width, lab);
  }
  return owners;
}

function moveCentres(
  centres: Float64Array,
  owners: Int32Array,
  width: number,
  lab: Float32Array,
): void {
  const sums = new Float64Array((centres.length / 5) * 6);
  for (let pixel = 0, x = 0, y = 0; pixel < owners.length; pixel++) {
    const sum = (owners[pixel] as number) * 6;
    sums[sum] = (sums[sum] as number) + x;
    sums[sum + 1] = (sums[sum + 1] as number) + y;
    for (let c = 0; c < 3; c++)
      sums[sum + 2 + c] = (sums[sum + 2 + c] as number) + (lab[pixel * 3 + c] as number);
    sums[sum + 5] = (sums[sum + 5] as number) + 1;
    if (++x === width) {
      x = 0;
      y++;
    }
  }
  for (let centre = 0, sum = 0; centre < centres.length; centre += 5, sum += 6) {
    const count = sums[sum + 5] as number;
    if (count > 0)
      for (let part = 0; part < 5; part++)
        centres[centre + part] = (sums[sum + part] as number) / count;
  }
}

/** Each connected patch as a region of its own; splinters go to the patch that was met before them. */
function connected(
  owners: Int32Array,
  width: number,
  least: number,
): { of: Int32Array; count: number } {
  const of = new Int32Array(owners.length).fill(-1);
  const patch = new Int32Array(owners.length);
  let count = 0;
  for (let start = 0; start < owners.length; start++) {
    if (of[start] !== -1) continue;
    const owner = owners[start];
    let [read, written, beside] = [0, 0, -1];
    of[start] = count;
    patch[written++] = start;
    while (read < written) {
      const pixel = patch[read++] as number;
      const x = pixel % width;
      for (let side = 0; side < 4; side++) {
        if ((side === 0 && x === 0) || (side === 1 && x === width - 1)) continue;
        const to = pixel + (side === 0 ? -1 : side === 1 ? 1 : side === 2 ? -width : width);
        if (to < 0 || to >= owners.length) continue;
        const known = of[to] as number;
        if (known !== -1) {
          if (known !== count) beside = known;
        } else if (owners[to] === owner) {
          of[to] = count;
          patch[written++] = to;
        }
      }
    }
    if (written >= least || beside === -1) count++;
    else for (let at = 0; at < written; at++) of[patch[at] as number] = beside;
  }
  return { of, count };
}
