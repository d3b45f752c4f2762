import type { RgbaImage } from '../raster/index.ts';
import { FlowGraph } from './flow.ts';
import { neighboursOf, pairCosts, type Neighbour } from './pairs.ts';
import { regionsOf, type Regions } from './regions.ts';
import { workingImage, type WorkingImage } from './working.ts';

const { abs, max } = Math;

/** What a certain pixel costs on the wrong side. */
const CERTAIN = 1e6;
/** Distance along colour: how much a difference of one counts, as a share of the longer side. */
const COLOR_WAY = 2.5;
/** What a pixel under a stroke gains for its region, which it does not decide alone. */
const SURE = 28;

/**
 * The least cuts of a picture at its working size: over its regions, and over single pixels. Sources:
 * C. Rother, V. Kolmogorov, A. Blake, GrabCut (2004); Y. Li and others, Lazy Snapping (2004), for regions.
 */
export class Cuts {
  readonly image: WorkingImage;
  readonly regions: Regions;
  private readonly pairs: Float32Array;
  private readonly neighbours: readonly (readonly Neighbour[])[];

  /** @param picture as it is seen */
  constructor(picture: RgbaImage) {
    this.image = workingImage(picture);
    this.regions = regionsOf(this.image);
    this.pairs = pairCosts(this.image);
    this.neighbours = neighboursOf(this.regions, this.pairs, this.image.width);
  }

  /** Cuts the regions; what is not open is background. */
  cutRegions(gain: Float64Array, open: Uint8Array): Uint8Array {
    const { regions, image, neighbours } = this;
    const gains = new Float64Array(regions.count);
    const covered = new Float64Array(regions.count);
    for (let pixel = 0; pixel < open.length; pixel++) {
      const region = regions.of[pixel] as number;
      gains[region] =
        (gains[region] as number) + (gain[image.palette.of[pixel] as number] as number);
      covered[region] = (covered[region] as number) + (open[pixel] as number);
    }
    const graph = new FlowGraph(regions.count, pairsIn(neighbours));
    for (let region = 0; region < regions.count; region++) {
      const isOpen = (covered[region] as number) > (regions.area[region] as number) / 2;
      if (!isOpen) graph.addTerminal(region, 0, CERTAIN);
      else graph.addTerminal(region, gains[region] as number, 0);
      for (const { to, cost } of neighbours[region] ?? [])
        if (to > region) graph.addPair(region, to, cost);
    }
    const cut = graph.cut();
    return open.map((is, pixel) => (is && cut[regions.of[pixel] as number] ? 1 : 0));
  }

  /** Cuts the pixels that are open anew; all others stay, and are what those beside them are held to. */
  cutPixels(
    labels: Uint8Array,
    of: { isOpen(pixel: number): boolean; gain(pixel: number): number },
  ): void {
    const { width, height } = this.image;
    const nodes = new Int32Array(labels.length).fill(-1);
    const pixels: number[] = [];
    for (let pixel = 0; pixel < labels.length; pixel++)
      if (of.isOpen(pixel)) nodes[pixel] = pixels.push(pixel) - 1;
    if (pixels.length === 0) return;
    const graph = new FlowGraph(pixels.length, pixels.length * 4);
    const pair = (one: number, other: number, cost: number): void => {
      const [from, to] = [nodes[one] as number, nodes[other] as number];
      if (from >= 0 && to >= 0) graph.addPair(from, to, cost);
      else if (from >= 0)
        graph.addTerminal(from, labels[other] ? cost : 0, labels[other] ? 0 : cost);
      else if (to >= 0) graph.addTerminal(to, labels[one] ? cost : 0, labels[one] ? 0 : cost);
    };
    for (const pixel of pixels) {
      graph.addTerminal(nodes[pixel] as number, of.gain(pixel), 0);
      const x = pixel % width;
      const isLast = pixel >= width * (height - 1);
      const around: readonly [number, number, boolean][] = [
        [1, 0, x < width - 1],
        [width, 1, !isLast],
        [width + 1, 2, x < width - 1 && !isLast],
        [width - 1, 3, x > 0 && !isLast],
      ];
      for (const [step, way, isThere] of around)
        if (isThere) pair(pixel, pixel + step, this.pairs[pixel * 4 + way] as number);
      // Those before it that stay as they are.
      for (const [step, way] of around) {
        const before = pixel - step;
        if (before < 0 || (nodes[before] as number) >= 0 || abs((before % width) - x) > 1) continue;
        pair(before, pixel, this.pairs[before * 4 + way] as number);
      }
    }
    const cut = graph.cut();
    pixels.forEach((pixel, node) => (labels[pixel] = cut[node] as number));
  }

  /** How far regions are from those of a stroke along their colours, where a stroke reaches them. */
  distances(seeds: ReadonlySet<number>, reach: number): Map<number, number> {
    const { regions, neighbours, image } = this;
    const longer = max(image.width, image.height);
    const far = new Map<number, number>();
    const queue: [number, number][] = [...seeds].map((region) => [0, region]);
    // Few regions are near: the queue stays short.
    while (queue.length) {
      let best = 0;
      for (let at = 1; at < queue.length; at++)
        if ((queue[at] as [number, number])[0] < (queue[best] as [number, number])[0]) best = at;
      const [[distance, region] = [0, 0]] = queue.splice(best, 1);
      if (far.has(region)) continue;
      far.set(region, distance);
      for (const { to, apart } of neighbours[region] ?? []) {
        if (far.has(to)) continue;
        const next = distance + apart / longer + COLOR_WAY * colorsApart(regions, region, to);
        if (next <= reach) queue.push([next, to]);
      }
    }
    return far;
  }

  /** Cuts the regions that a stroke reaches; a region that changes sides does so as a whole. */
  cutNear(
    labels: Uint8Array,
    {
      certain,
      far,
      gains,
    }: {
      certain: Uint8Array;
      far: ReadonlyMap<number, number>;
      gains: (pixel: number) => number;
    },
  ): void {
    const { regions, neighbours } = this;
    const gained = new Float64Array(regions.count);
    const subject = new Float64Array(regions.count);
    for (let pixel = 0; pixel < labels.length; pixel++) {
      const region = regions.of[pixel] as number;
      subject[region] = (subject[region] as number) + (labels[pixel] as number);
      if (!far.has(region)) continue;
      const sure = certain[pixel];
      // What strokes say of a part of a region counts for it, but not for the whole of it.
      const gain = sure === 1 ? SURE : sure === 2 ? -SURE : gains(pixel);
      gained[region] = (gained[region] as number) + gain;
    }
    const was = (region: number): number =>
      (subject[region] as number) * 2 > (regions.area[region] as number) ? 1 : 0;
    const nodes = new Map([...far.keys()].map((region, node) => [region, node]));
    const graph = new FlowGraph(nodes.size, pairsIn(neighbours));
    for (const [region, node] of nodes) {
      graph.addTerminal(node, gained[region] as number, 0);
      for (const { to, cost } of neighbours[region] ?? []) {
        const other = nodes.get(to);
        if (other !== undefined) {
          if (to > region) graph.addPair(node, other, cost);
        } else graph.addTerminal(node, was(to) ? cost : 0, was(to) ? 0 : cost);
      }
    }
    const cut = graph.cut();
    for (let pixel = 0; pixel < labels.length; pixel++) {
      const region = regions.of[pixel] as number;
      const node = nodes.get(region);
      if (node === undefined || certain[pixel] !== 0) continue;
      const label = cut[node] as number;
      if (label !== was(region)) labels[pixel] = label;
    }
  }
}

const pairsIn = (neighbours: readonly (readonly Neighbour[])[]): number =>
  neighbours.reduce((sum, all) => sum + all.length, 0);

function colorsApart({ colors }: Regions, one: number, other: number): number {
  let sum = 0;
  for (let c = 0; c < 3; c++)
    sum += ((colors[one * 3 + c] as number) - (colors[other * 3 + c] as number)) ** 2;
  return Math.sqrt(sum);
}
