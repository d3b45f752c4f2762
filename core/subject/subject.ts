import { patchesOf, stepsFromBorder, type RgbaImage } from '../raster/index.ts';
import { FlowGraph } from './flow.ts';
import type { Freeing, OfferedHole, SubjectStroke } from './freeing.ts';
import { fitMixture } from './mixture.ts';
import { eachPainted, insideOf } from './painted.ts';
import { neighboursOf, pairCosts, type Neighbour } from './pairs.ts';
import { regionsOf, type Regions } from './regions.ts';
import { workingImage, type WorkingImage } from './working.ts';

const { abs, exp, hypot, max, min, round } = Math;

/** Gaussians of each side. */
const GAUSSIANS = 5;
/** How often the colours of both sides are estimated anew at most. */
const ROUNDS = 6;
/** Pixels inside the frame, at working size, that are taken for background with those outside. */
const STRIP = 2;
/** How far from the border of regions the outline is looked for pixel by pixel. */
const FINE = 7;
/** What a certain pixel costs on the wrong side. */
const CERTAIN = 1e6;
/** Distance along colour: how much a difference of one counts, as a share of the longer side. */
const COLOR_WAY = 2.5;
/** How strongly a stroke pulls what is near and alike, and how alike that is. */
const PULL = 14;
const ALIKE = 0.07;
/** A colour of so small a share of a stroke is not what it means. */
const TOUCHED = 0.03;
/** Patches of the subject that are smaller beside the largest are dropped, unless they are kept by a stroke. */
const CRUMB = 0.02;
/** Holes that are smaller beside the subject are offered, not taken. */
const OFFERED = 0.01;
const LEAST_HOLE = 6; // pixels at working size

/** What costs colours and borders of a picture come to, once a frame is known. */
interface Energy {
  readonly around: Freeing['around'];
  readonly inside: Uint8Array;
  /** For each colour of the palette what it costs more to be background than subject. */
  readonly gain: Float64Array;
  readonly labels: Uint8Array;
}

/** What strokes have made of the subject so far. */
interface Painted {
  readonly stroke: SubjectStroke;
  readonly reach: number;
  readonly labels: Uint8Array;
  /** 1 where a stroke says keep, 2 where one says drop. */
  readonly certain: Uint8Array;
}

/** The subject at working size, 1 for each of its pixels, and the holes that are offered. */
export interface FoundSubject {
  readonly width: number;
  readonly height: number;
  readonly scale: number;
  readonly labels: Uint8Array;
  readonly holes: readonly OfferedHole[];
}

/**
 * Finds the subject of a photograph. Sources: C. Rother, V. Kolmogorov, A. Blake, GrabCut (2004); Y. Li and
 * others, Lazy Snapping (2004), for regions; A. Criminisi, T. Sharp, A. Blake, GeoS (2008), for strokes.
 * What was found for a frame and for strokes is kept: one stroke more, or less, is quick.
 */
export class SubjectFinder {
  readonly image: WorkingImage;
  private readonly regions: Regions;
  private readonly pairs: Float32Array;
  private readonly neighbours: readonly (readonly Neighbour[])[];
  private energy: Energy | undefined;
  private painted: Painted[] = [];

  /** @param picture as it is seen */
  constructor(picture: RgbaImage) {
    this.image = workingImage(picture);
    this.regions = regionsOf(this.image);
    this.pairs = pairCosts(this.image);
    this.neighbours = neighboursOf(this.regions, this.pairs, this.image.width);
  }

  find(freeing: Freeing): FoundSubject {
    const { width, height, scale } = this.image;
    const energy = this.energyOf(freeing.around);
    const strokes = this.paintedBy(freeing, energy);
    const last = strokes[strokes.length - 1];
    const labels = (last?.labels ?? energy.labels).slice();
    const certain = last?.certain ?? new Uint8Array(labels.length);
    dropCrumbs(labels, certain, width);
    const holes = this.fillHoles(labels, certain, freeing.holes);
    return { width, height, scale, labels, holes };
  }

  /** The subject by its frame alone. */
  private energyOf(around: Freeing['around']): Energy {
    if (this.energy && JSON.stringify(this.energy.around) === JSON.stringify(around))
      return this.energy;
    const { width, palette } = this.image;
    const inside = insideOf(around, this.image);
    const steps = stepsFromBorder(inside, width, STRIP + 1);
    // What touches the picture's own border may be the subject: there the frame says nothing.
    const open = inside.map((is, pixel) => (is && (steps[pixel] as number) > STRIP ? 1 : 0));
    const { count: colors } = palette;
    const [within, without] = [new Float64Array(colors), new Float64Array(colors)];
    for (let pixel = 0; pixel < open.length; pixel++) {
      const side = open[pixel] ? within : without;
      const color = palette.of[pixel] as number;
      side[color] = (side[color] as number) + 1;
    }
    let gain = this.gainOf(beyond(within, without), without);
    let labels: Uint8Array = open;
    for (let round = 0; round < ROUNDS; round++) {
      const cut = this.cutRegions(gain, open);
      const changed = cut.reduce((sum, label, at) => sum + (label === labels[at] ? 0 : 1), 0);
      labels = cut;
      if (round > 0 && changed < labels.length * 0.001) break;
      const [subject, ground] = [new Float64Array(colors), new Float64Array(colors)];
      for (let pixel = 0; pixel < labels.length; pixel++) {
        const side = labels[pixel] ? subject : ground;
        const color = palette.of[pixel] as number;
        side[color] = (side[color] as number) + 1;
      }
      if (subject.every((weight) => weight === 0)) break;
      gain = this.gainOf(subject, ground);
    }
    const near = stepsFromBorder(labels, width, FINE);
    this.cutPixels(labels, {
      isOpen: (pixel) => open[pixel] === 1 && (near[pixel] as number) <= FINE,
      gain: (pixel) => gain[palette.of[pixel] as number] as number,
    });
    this.painted = [];
    this.energy = { around, inside: open, gain, labels };
    return this.energy;
  }

  private gainOf(subject: Float64Array, ground: Float64Array): Float64Array {
    const { colors, count } = this.image.palette;
    const [one, other] = [subject, ground].map((weights) => fitMixture(colors, weights, GAUSSIANS));
    return Float64Array.from({ length: count }, (_, color) => {
      const at = color * 3;
      const [l, a, b] = [colors[at] as number, colors[at + 1] as number, colors[at + 2] as number];
      return (other?.cost(l, a, b) ?? 0) - (one?.cost(l, a, b) ?? 0);
    });
  }

  /** Cuts the regions; what is not open is background. */
  private cutRegions(gain: Float64Array, open: Uint8Array): Uint8Array {
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
  private cutPixels(
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

  /** The subject after each stroke; those that were painted before are not worked out again. */
  private paintedBy({ strokes, reach }: Freeing, energy: Energy): Painted[] {
    const isKnown = (at: number): boolean => {
      const known = this.painted[at];
      const stroke = strokes[at];
      return (
        known !== undefined &&
        stroke !== undefined &&
        known.reach === reach &&
        (known.stroke === stroke || JSON.stringify(known.stroke) === JSON.stringify(stroke))
      );
    };
    let known = 0;
    while (isKnown(known)) known++;
    const made = this.painted.slice(0, known);
    for (const stroke of strokes.slice(known)) {
      const before = made[made.length - 1];
      made.push(this.paint(stroke, reach, energy, before));
    }
    this.painted = made;
    return made;
  }

  private paint(
    stroke: SubjectStroke,
    reach: number,
    energy: Energy,
    before: Painted | undefined,
  ): Painted {
    const { image, regions } = this;
    const labels = (before?.labels ?? energy.labels).slice();
    const certain = before?.certain.slice() ?? new Uint8Array(labels.length);
    const wanted = stroke.mode === 'keep' ? 1 : 0;
    const seeds = new Set<number>();
    const painted: number[] = [];
    eachPainted(stroke, image, (pixel) => {
      certain[pixel] = wanted ? 1 : 2;
      labels[pixel] = wanted;
      painted.push(pixel);
      seeds.add(regions.of[pixel] as number);
    });
    const far = this.distances(seeds, reach);
    const gains = this.pulled(energy, { seeds: painted, wanted, far, reach });
    this.cutNear(labels, { certain, far, gains });
    const near = stepsFromBorder(labels, image.width, FINE);
    this.cutPixels(labels, {
      isOpen: (pixel) =>
        certain[pixel] === 0 &&
        (near[pixel] as number) <= FINE &&
        far.has(regions.of[pixel] as number),
      gain: (pixel) => gains(pixel),
    });
    return { stroke, reach, labels, certain };
  }

  /** How far regions are from those of a stroke along their colours, where a stroke reaches them. */
  private distances(seeds: ReadonlySet<number>, reach: number): Map<number, number> {
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

  /** What pixels gain as the subject, pulled by a stroke where they are near it and alike. */
  private pulled(
    energy: Energy,
    of: {
      seeds: readonly number[];
      wanted: number;
      far: ReadonlyMap<number, number>;
      reach: number;
    },
  ): (pixel: number) => number {
    const { palette } = this.image;
    const { colors } = palette;
    const counts = new Map<number, number>();
    for (const pixel of of.seeds) {
      const color = palette.of[pixel] as number;
      counts.set(color, (counts.get(color) ?? 0) + 1);
    }
    // What a stroke hardly touches is not what it means.
    const own = [...counts].filter(([, count]) => count > of.seeds.length * TOUCHED);
    const alike = new Map<number, number>();
    const likeness = (color: number): number => {
      const known = alike.get(color);
      if (known !== undefined) return known;
      let least = Infinity;
      for (const [seed] of own) {
        const d = [0, 1, 2].map(
          (c) => (colors[color * 3 + c] as number) - (colors[seed * 3 + c] as number),
        );
        least = min(least, hypot(...d));
      }
      const like = exp(-((least / ALIKE) ** 2));
      alike.set(color, like);
      return like;
    };
    const sign = of.wanted ? 1 : -1;
    return (pixel) => {
      const color = palette.of[pixel] as number;
      const distance = of.far.get(this.regions.of[pixel] as number) ?? of.reach;
      const pull = PULL * (1 - distance / of.reach) * likeness(color);
      return (energy.gain[color] as number) + sign * pull;
    };
  }

  /** Cuts the regions that a stroke reaches; a region that changes sides does so as a whole. */
  private cutNear(
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
      const gain = sure === 1 ? PULL * 2 : sure === 2 ? -PULL * 2 : gains(pixel);
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

  /** Fills holes that are small beside the subject unless they are chosen or painted open. */
  private fillHoles(
    labels: Uint8Array,
    certain: Uint8Array,
    chosen: Freeing['holes'],
  ): OfferedHole[] {
    const { width, height, scale } = this.image;
    const { patches, of } = patchesOf(labels, width, 0);
    const subject = labels.reduce((sum, label) => sum + label, 0);
    const painted = new Set<number>();
    for (let pixel = 0; pixel < certain.length; pixel++)
      if (certain[pixel] === 2) painted.add(of[pixel] as number);
    const wanted = new Set(
      chosen.map(([x, y]) => {
        const [column, row] = [round(x / scale - 0.5), round(y / scale - 0.5)];
        const isIn = column >= 0 && row >= 0 && column < width && row < height;
        return isIn ? of[row * width + column] : -1;
      }),
    );
    const holes: OfferedHole[] = [];
    const filled = new Set<number>();
    patches.forEach(({ pixels, first, left, top, right, bottom }, patch) => {
      const reachesOut = left === 0 || top === 0 || right === width || bottom === height;
      if (reachesOut || pixels > subject * OFFERED || painted.has(patch)) return;
      const isOpen = wanted.has(patch);
      if (!isOpen) filled.add(patch);
      if (pixels < LEAST_HOLE) return;
      holes.push({
        place: [((first % width) + 0.5) * scale, (Math.floor(first / width) + 0.5) * scale],
        ...{ left: left * scale, top: top * scale, right: right * scale, bottom: bottom * scale },
        isOpen,
      });
    });
    if (filled.size)
      for (let pixel = 0; pixel < labels.length; pixel++)
        if (filled.has(of[pixel] as number)) labels[pixel] = 1;
    return holes;
  }
}

/** Colours inside a frame beyond what the ground outside has of them: what of them is the subject's. */
function beyond(within: Float64Array, without: Float64Array): Float64Array {
  const sum = (all: Float64Array): number => all.reduce((one, other) => one + other, 0);
  const share = (0.6 * sum(within)) / max(1, sum(without));
  const left = within.map((count, color) => max(0, count - share * (without[color] as number)));
  return sum(left) > 0.05 * sum(within) ? left : within;
}

const pairsIn = (neighbours: readonly (readonly Neighbour[])[]): number =>
  neighbours.reduce((sum, all) => sum + all.length, 0);

function colorsApart({ colors }: Regions, one: number, other: number): number {
  let sum = 0;
  for (let c = 0; c < 3; c++)
    sum += ((colors[one * 3 + c] as number) - (colors[other * 3 + c] as number)) ** 2;
  return Math.sqrt(sum);
}

/** Drops patches of the subject that are small beside its largest and that no stroke keeps. */
function dropCrumbs(labels: Uint8Array, certain: Uint8Array, width: number): void {
  const { patches, of } = patchesOf(labels, width, 1);
  const largest = patches.reduce((most, { pixels }) => max(most, pixels), 0);
  const kept = new Set<number>();
  for (let pixel = 0; pixel < certain.length; pixel++)
    if (certain[pixel] === 1) kept.add(of[pixel] as number);
  for (let pixel = 0; pixel < labels.length; pixel++) {
    const patch = of[pixel] as number;
    if (patch < 0 || kept.has(patch)) continue;
    if ((patches[patch]?.pixels ?? 0) < largest * CRUMB) labels[pixel] = 0;
  }
}
