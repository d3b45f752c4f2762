import { toHex } from './color.ts';
import { oklabDistance, oklabOfBytes, type Oklab } from './oklab.ts';

interface Cluster extends Oklab {
  /** How many pixels it stands for. */
  readonly weight: number;
  readonly red: number;
  readonly green: number;
  readonly blue: number;
}

const BITS = 4; // of each channel, by which pixels are gathered first
const ROUNDS = 12;
const APART = 0.07; // in OKLab: colours nearer than that are one

/**
 * The colours that cover most of a picture, the largest first, as `#rrggbb`; what is clear is left
 * out. Source: k-means (Lloyd) on a histogram in OKLab, begun with the heaviest cells that lie apart.
 * @param image pixels as red, green, blue and alpha bytes
 */
export function dominantColors(
  { data }: { readonly data: ArrayLike<number> },
  most: number,
): string[] {
  const cells = histogram(data);
  const centres: Cluster[] = [];
  for (const cell of cells) {
    if (centres.length === most) break;
    if (centres.every((centre) => oklabDistance(centre, cell) > APART)) centres.push(cell);
  }
  let clusters: readonly Cluster[] = centres;
  for (let round = 0; round < ROUNDS; round++) clusters = moved(clusters, cells);
  return [...clusters]
    .sort((one, other) => other.weight - one.weight)
    .map(({ red, green, blue }) => toHex({ r: red / 255, g: green / 255, b: blue / 255 }));
}

function histogram(data: ArrayLike<number>): Cluster[] {
  const sums = new Map<number, [count: number, red: number, green: number, blue: number]>();
  for (let at = 0; at + 3 < data.length; at += 4) {
    if ((data[at + 3] ?? 0) < 128) continue;
    const [red, green, blue] = [data[at] ?? 0, data[at + 1] ?? 0, data[at + 2] ?? 0];
    const shift = 8 - BITS;
    const key = ((red >> shift) << (2 * BITS)) | ((green >> shift) << BITS) | (blue >> shift);
    const sum = sums.get(key) ?? [0, 0, 0, 0];
    sum[0]++;
    sum[1] += red;
    sum[2] += green;
    sum[3] += blue;
    sums.set(key, sum);
  }
  return [...sums.values()]
    .map(([weight, red, green, blue]) =>
      clusterOf(weight, [red / weight, green / weight, blue / weight]),
    )
    .sort((one, other) => other.weight - one.weight);
}

const clusterOf = (weight: number, [red, green, blue]: [number, number, number]): Cluster => ({
  weight,
  red,
  green,
  blue,
  ...oklabOfBytes(Math.round(red), Math.round(green), Math.round(blue)),
});

/** Each cluster in the middle of the cells that are nearest to it. */
function moved(clusters: readonly Cluster[], cells: readonly Cluster[]): Cluster[] {
  const sums = clusters.map(() => [0, 0, 0, 0] as [number, number, number, number]);
  for (const cell of cells) {
    let best = 0;
    let off = Infinity;
    for (const [at, cluster] of clusters.entries()) {
      const distance = oklabDistance(cluster, cell);
      if (distance < off) [best, off] = [at, distance];
    }
    const sum = sums[best];
    if (!sum) continue;
    sum[0] += cell.weight;
    sum[1] += cell.red * cell.weight;
    sum[2] += cell.green * cell.weight;
    sum[3] += cell.blue * cell.weight;
  }
  return sums.flatMap(([weight, red, green, blue]) =>
    weight ? [clusterOf(weight, [red / weight, green / weight, blue / weight])] : [],
  );
}
