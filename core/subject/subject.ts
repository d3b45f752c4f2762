import { stepsFromBorder, type RgbaImage } from '../raster/index.ts';
import { Cuts } from './cuts.ts';
import type { Freeing, OfferedHole, SubjectStroke } from './freeing.ts';
import { dropCrumbs, fillHoles } from './holes.ts';
import { fitMixture } from './mixture.ts';
import { eachPainted, insideOf } from './painted.ts';

const { exp, hypot, max, min } = Math;

/** Gaussians of each side. */
const GAUSSIANS = 5;
/** How often the colours of both sides are estimated anew at most. */
const ROUNDS = 6;
/** Pixels inside the frame, at working size, that are taken for background with those outside. */
const STRIP = 2;
/** How far from the border of regions the outline is looked for pixel by pixel. */
const FINE = 7;
/** How strongly a stroke pulls what is near and alike, and how alike that is. */
const PULL = 14;
const ALIKE = 0.07;
/** A colour of so small a share of a stroke is not what it means. */
const TOUCHED = 0.03;

/** What costs colours and borders of a picture come to, once a frame is known. */
interface Energy {
  readonly around: Freeing['around'];
  /** For each colour of the palette what it costs more to be background than subject. */
  readonly gain: Float64Array;
  readonly labels: Uint8Array;
}

/** The subject after a stroke. */
interface State {
  readonly labels: Uint8Array;
  /** 1 where a stroke says keep, 2 where one says drop. */
  readonly certain: Uint8Array;
}

/** A stroke that was painted, with what it came to if it is one of the last. */
interface Painted {
  readonly stroke: SubjectStroke;
  readonly reach: number;
  readonly state: State | undefined;
}

/** Strokes of which it is kept what they came to: a megabyte each. */
const KEPT = 24;

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
  private readonly cuts: Cuts;
  private energy: Energy | undefined;
  private painted: Painted[] = [];
  private found: { readonly freeing: Freeing; readonly subject: FoundSubject } | undefined;

  /** @param picture as it is seen */
  constructor(picture: RgbaImage) {
    this.cuts = new Cuts(picture);
  }

  find(freeing: Freeing): FoundSubject {
    if (this.found?.freeing === freeing) return this.found.subject;
    const { width, height, scale } = this.cuts.image;
    const energy = this.energyOf(freeing.around);
    const last = this.paintedBy(freeing, energy);
    const labels = (last?.labels ?? energy.labels).slice();
    const certain = last?.certain ?? new Uint8Array(labels.length);
    dropCrumbs(labels, certain, width);
    const holes = fillHoles(labels, certain, { image: this.cuts.image, chosen: freeing.holes });
    const subject = { width, height, scale, labels, holes };
    this.found = { freeing, subject };
    return subject;
  }

  /** The subject by its frame alone. */
  private energyOf(around: Freeing['around']): Energy {
    if (this.energy && JSON.stringify(this.energy.around) === JSON.stringify(around))
      return this.energy;
    const { width, palette } = this.cuts.image;
    const inside = insideOf(around, this.cuts.image);
    const steps = stepsFromBorder(inside, width, STRIP + 1);
    // What touches the picture's own border may be the subject: there the frame says nothing.
    const open = inside.map((is, pixel) => (is && (steps[pixel] as number) > STRIP ? 1 : 0));
    const [within, without] = this.colorsOf(open);
    let gain = this.gainOf(beyond(within, without), without);
    let labels: Uint8Array = open;
    for (let round = 0; round < ROUNDS; round++) {
      const cut = this.cuts.cutRegions(gain, open);
      const changed = cut.reduce((sum, label, at) => sum + (label === labels[at] ? 0 : 1), 0);
      labels = cut;
      if (round > 0 && changed < labels.length * 0.001) break;
      const [subject, ground] = this.colorsOf(labels);
      if (subject.every((weight) => weight === 0)) break;
      gain = this.gainOf(subject, ground);
    }
    const near = stepsFromBorder(labels, width, FINE);
    this.cuts.cutPixels(labels, {
      isOpen: (pixel) => open[pixel] === 1 && (near[pixel] as number) <= FINE,
      gain: (pixel) => gain[palette.of[pixel] as number] as number,
    });
    this.painted = [];
    this.energy = { around, gain, labels };
    return this.energy;
  }

  /** How often each colour of the palette is on the side of the subject, and on the other. */
  private colorsOf(labels: Uint8Array): [Float64Array, Float64Array] {
    const { palette } = this.cuts.image;
    const [subject, ground] = [new Float64Array(palette.count), new Float64Array(palette.count)];
    for (let pixel = 0; pixel < labels.length; pixel++) {
      const side = labels[pixel] ? subject : ground;
      const color = palette.of[pixel] as number;
      side[color] = (side[color] as number) + 1;
    }
    return [subject, ground];
  }

  private gainOf(subject: Float64Array, ground: Float64Array): Float64Array {
    const { colors, count } = this.cuts.image.palette;
    const [one, other] = [subject, ground].map((weights) => fitMixture(colors, weights, GAUSSIANS));
    return Float64Array.from({ length: count }, (_, color) => {
      const at = color * 3;
      const [l, a, b] = [colors[at] as number, colors[at + 1] as number, colors[at + 2] as number];
      return (other?.cost(l, a, b) ?? 0) - (one?.cost(l, a, b) ?? 0);
    });
  }

  /** The subject after all strokes; those that were painted before are not worked out again. */
  private paintedBy({ strokes, reach }: Freeing, energy: Energy): State | undefined {
    const isSame = (at: number): boolean => {
      const [known, stroke] = [this.painted[at], strokes[at]];
      return (
        known !== undefined &&
        stroke !== undefined &&
        known.reach === reach &&
        (known.stroke === stroke || JSON.stringify(known.stroke) === JSON.stringify(stroke))
      );
    };
    let known = 0;
    while (isSame(known)) known++;
    while (known > 0 && !this.painted[known - 1]?.state) known--;
    const made = this.painted.slice(0, known);
    for (const stroke of strokes.slice(known)) {
      const before = made[made.length - 1]?.state;
      made.push({ stroke, reach, state: this.paint(stroke, reach, energy, before) });
    }
    this.painted = made.map((one, at) =>
      at < made.length - KEPT ? { ...one, state: undefined } : one,
    );
    return made[made.length - 1]?.state;
  }

  private paint(
    stroke: SubjectStroke,
    reach: number,
    energy: Energy,
    before: State | undefined,
  ): State {
    const { image, regions } = this.cuts;
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
    const far = this.cuts.distances(seeds, reach);
    const gains = this.pulled(energy, { seeds: painted, wanted, far, reach });
    this.cuts.cutNear(labels, { certain, far, gains });
    const near = stepsFromBorder(labels, image.width, FINE);
    this.cuts.cutPixels(labels, {
      isOpen: (pixel) =>
        certain[pixel] === 0 &&
        (near[pixel] as number) <= FINE &&
        far.has(regions.of[pixel] as number),
      gain: (pixel) => gains(pixel),
    });
    return { labels, certain };
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
    const { palette } = this.cuts.image;
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
      const distance = of.far.get(this.cuts.regions.of[pixel] as number) ?? of.reach;
      const pull = PULL * (1 - distance / of.reach) * likeness(color);
      return (energy.gain[color] as number) + sign * pull;
    };
  }
}

/** Colours inside a frame beyond what the ground outside has of them: what of them is the subject's. */
function beyond(within: Float64Array, without: Float64Array): Float64Array {
  const sum = (all: Float64Array): number => all.reduce((one, other) => one + other, 0);
  const share = (0.6 * sum(within)) / max(1, sum(without));
  const left = within.map((count, color) => max(0, count - share * (without[color] as number)));
  return sum(left) > 0.05 * sum(within) ? left : within;
}
