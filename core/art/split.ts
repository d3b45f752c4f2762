import { oklabDistance, oklabOfBytes, type Oklab } from '../color/index.ts';
import type { Point } from '../geometry/index.ts';
import {
  blankImage,
  groupRuns,
  runsOf,
  type RgbaImage,
  type RunGroup,
  type Runs,
} from '../raster/index.ts';

const { abs, ceil, floor, hypot, max, min } = Math;

/** How a page is split into pieces of art. Lengths in mm. */
export interface Splitting {
  /** Pixels for each mm. */
  readonly perMm: number;
  /** Patches closer than this belong together. */
  readonly gap: number;
  /** What covers less than this is a speck, mm². */
  readonly least: number;
  /** Lines that were drawn to cut things apart, in pixels. */
  readonly cuts?: readonly { readonly from: Point; readonly to: Point }[];
}

/** How a page is split unless something else is asked for. */
export const USUAL_SPLITTING = { gap: 0.8, least: 2 } as const;

/** A piece of art on a page; the box is in pixels. */
export interface PagePart {
  readonly left: number;
  readonly top: number;
  readonly right: number;
  readonly bottom: number;
  /** Covered pixels. */
  readonly area: number;
  /** Whether it looks like a line of lettering. */
  readonly title: boolean;
  /** The numbers of the page's patches that it is made of. */
  readonly patches: readonly number[];
}

/** A page that was split: its connected patches and, in reading order, the parts that they form. */
export interface SplitPage {
  readonly width: number;
  readonly height: number;
  readonly runs: Runs;
  readonly patches: readonly RunGroup[];
  readonly parts: readonly PagePart[];
  /** How many specks were dropped. */
  readonly specks: number;
}

/** From which alpha on a pixel is covered: soft rims belong to what they surround. */
const COVERED = 16;

/** Splits what stands on a clear page into the pieces that it is made of, in reading order. */
export function splitPage(image: RgbaImage, splitting: Splitting): SplitPage {
  const { width, height, data } = image;
  const { perMm, gap, least, cuts = [] } = splitting;
  const source =
    cuts.length === 0
      ? { width, height, data, stride: 4, offset: 3 }
      : { width, height, data: parted(image, cuts), stride: 1, offset: 0 };
  const runs = runsOf(source, COVERED);
  const patches = groupRuns(runs, height);
  const near = groupRuns(runs, height, gap * perMm, cuts.length ? apartBy(runs, cuts) : undefined);
  const patchOf = new Int32Array(runs.count);
  patches.forEach((patch, at) => patch.runs.forEach((run) => (patchOf[run] = at)));
  const kept = near.filter(({ area }) => area >= least * perMm * perMm);
  const found = enclosed(kept, runs).map((group) =>
    partOf(patches, [...new Set(group.runs.map((run) => patchOf[run] as number))], false),
  );
  const parts = readingOrder(withTitles(found, { image, patches, runs, perMm }));
  return { width, height, runs, patches, parts, specks: near.length - kept.length };
}

/** A part made of patches. */
export function partOf(
  all: readonly RunGroup[],
  patches: readonly number[],
  title: boolean,
): PagePart {
  // A photograph can have a million patches: no list of them is spread.
  let [left, top, right, bottom, area] = [Infinity, Infinity, 0, 0, 0];
  for (const at of patches) {
    const patch = all[at] as RunGroup;
    left = min(left, patch.left);
    top = min(top, patch.top);
    right = max(right, patch.right);
    bottom = max(bottom, patch.bottom);
    area += patch.area;
  }
  return { left, top, right, bottom, area, title, patches };
}

/** The picture of a part alone, trimmed to its box, with nothing of its neighbours. */
export function partImage(image: RgbaImage, page: SplitPage, part: PagePart): RgbaImage {
  const made = blankImage(part.right - part.left, part.bottom - part.top);
  const { runs, patches } = page;
  for (const patch of part.patches) {
    for (const run of (patches[patch] as RunGroup).runs) {
      const [y, x, end] = [runs.y[run] as number, runs.x[run] as number, runs.end[run] as number];
      const from = (y * image.width + x) * 4;
      const to = ((y - part.top) * made.width + x - part.left) * 4;
      made.data.set(image.data.subarray(from, from + (end - x) * 4), to);
    }
  }
  return made;
}

type Cuts = NonNullable<Splitting['cuts']>;

/** The page's alpha with thin lines of nothing where things are cut apart. */
function parted({ width, height, data }: RgbaImage, cuts: Cuts): Uint8Array {
  const alpha = new Uint8Array(width * height);
  for (let at = 0; at < alpha.length; at++) alpha[at] = data[at * 4 + 3] as number;
  for (const { from, to } of cuts) {
    const steps = ceil(hypot(to.x - from.x, to.y - from.y) * 3) + 1;
    for (let step = 0; step <= steps; step++) {
      const x = floor(from.x + ((to.x - from.x) * step) / steps);
      const y = floor(from.y + ((to.y - from.y) * step) / steps);
      for (const [px, py] of [
        [x, y],
        [x + 1, y],
        [x, y + 1],
      ] as const)
        if (px >= 0 && py >= 0 && px < width && py < height) alpha[py * width + px] = 0;
    }
  }
  return alpha;
}

/** Whether a cut lies between two runs, so that being close does not join them. */
function apartBy(runs: Runs, cuts: Cuts): (one: number, other: number) => boolean {
  return (one, other) => {
    const from = facing(runs, one, other);
    const to = facing(runs, other, one);
    return cuts.some((cut) => crosses(from, to, cut.from, cut.to));
  };
}

/** The place of a run that faces another. */
function facing({ x, end, y }: Runs, run: number, other: number): Point {
  const toward = ((x[other] as number) + (end[other] as number)) / 2;
  return {
    x: max((x[run] as number) + 0.5, min((end[run] as number) - 0.5, toward)),
    y: (y[run] as number) + 0.5,
  };
}

function crosses(a: Point, b: Point, c: Point, d: Point): boolean {
  const side = (p: Point, q: Point, r: Point): number =>
    (q.x - p.x) * (r.y - p.y) - (q.y - p.y) * (r.x - p.x);
  return side(a, b, c) * side(a, b, d) <= 0 && side(c, d, a) * side(c, d, b) <= 0;
}

/** Groups with those that stand inside a hole of another joined to it: an eye belongs to its face. */
function enclosed(groups: readonly RunGroup[], runs: Runs): RunGroup[] {
  const large = [...groups].sort((one, other) => boxArea(other) - boxArea(one));
  const taken = new Map<RunGroup, RunGroup[]>();
  const outer: RunGroup[] = [];
  for (const group of large) {
    const around = outer.find((other) => holds(other, group) && surrounds(other, group, runs));
    if (around) taken.set(around, [...(taken.get(around) ?? []), group]);
    else outer.push(group);
  }
  return outer.map((group) => {
    const inner = taken.get(group) ?? [];
    return inner.length === 0
      ? group
      : {
          ...group,
          area: inner.reduce((sum, { area }) => sum + area, group.area),
          runs: group.runs.concat(...inner.map((one) => one.runs)),
        };
  });
}

const boxArea = ({ left, top, right, bottom }: RunGroup): number => (right - left) * (bottom - top);

const holds = (outer: RunGroup, inner: RunGroup): boolean =>
  outer.left <= inner.left &&
  outer.top <= inner.top &&
  outer.right >= inner.right &&
  outer.bottom >= inner.bottom;

/** Whether one group is seen to the left, right, above and below of the middle of another. */
function surrounds(outer: RunGroup, inner: RunGroup, runs: Runs): boolean {
  const x = (inner.left + inner.right) / 2;
  const y = floor((inner.top + inner.bottom) / 2);
  let [left, right, above, below] = [false, false, false, false];
  for (const run of outer.runs) {
    const [row, from, end] = [
      runs.y[run] as number,
      runs.x[run] as number,
      runs.end[run] as number,
    ];
    if (row === y) {
      left ||= end <= x;
      right ||= from >= x;
    } else if (from <= x && end >= x) {
      above ||= row < y;
      below ||= row > y;
    }
  }
  return left && right && above && below;
}

const MOST_LETTER = 14; // mm
const FEWEST_LETTERS = 4;
const LETTER_GAP = 0.9; // of the height of a letter: words of one line stand closer than this
const ONE_COLOR = 0.09; // as an OKLab distance
const PAPER = 0.95; // OKLab lightness

interface Lettering {
  readonly image: RgbaImage;
  readonly patches: readonly RunGroup[];
  readonly runs: Runs;
  readonly perMm: number;
}

/**
 * Parts with lines of lettering put together and marked: several small patches of one colour and
 * about one height that stand in a row, smaller than the drawings of the page.
 */
function withTitles(parts: readonly PagePart[], page: Lettering): PagePart[] {
  const drawings = parts.map(({ top, bottom }) => bottom - top).sort((one, other) => one - other);
  const tallest = drawings[drawings.length - 1] ?? 0;
  const most = min(MOST_LETTER * page.perMm, tallest * 0.5);
  const small = parts.filter(({ top, bottom }) => bottom - top <= most);
  const lines = linesOf(small);
  const taken = new Set<PagePart>();
  const titles: PagePart[] = [];
  for (const line of lines) {
    const patches = line.flatMap((part) => part.patches);
    if (patches.length < FEWEST_LETTERS) continue;
    const title = partOf(page.patches, patches, true);
    const wide = title.right - title.left > 2 * (title.bottom - title.top);
    if (!wide || !isOneColor(patches, page)) continue;
    titles.push(title);
    line.forEach((part) => taken.add(part));
  }
  return [...parts.filter((part) => !taken.has(part)), ...titles];
}

/** Small parts in rows: each stands beside the one before it, at about its height. */
function linesOf(parts: readonly PagePart[]): PagePart[][] {
  const sorted = [...parts].sort((one, other) => one.left - other.left);
  const lines: PagePart[][] = [];
  for (const part of sorted) {
    const height = part.bottom - part.top;
    const line = lines.find((found) => {
      const last = found[found.length - 1] as PagePart;
      const tall = max(...found.map(({ top, bottom }) => bottom - top), height);
      const overlap = min(last.bottom, part.bottom) - max(last.top, part.top);
      const gap = part.left - last.right;
      return overlap > 0.3 * min(last.bottom - last.top, height) && gap < LETTER_GAP * tall;
    });
    if (line) line.push(part);
    else lines.push([part]);
  }
  return lines;
}

function isOneColor(patches: readonly number[], { image, patches: all, runs }: Lettering): boolean {
  const colors: Oklab[] = [];
  for (const patch of patches) {
    const { runs: own } = all[patch] as RunGroup;
    const step = max(1, floor(own.length / 12));
    for (let at = 0; at < own.length; at += step) {
      const run = own[at] as number;
      const x = ((runs.x[run] as number) + (runs.end[run] as number)) >> 1;
      const from = ((runs.y[run] as number) * image.width + x) * 4;
      const { data } = image;
      if ((data[from + 3] as number) > 200)
        colors.push(
          oklabOfBytes(data[from] as number, data[from + 1] as number, data[from + 2] as number),
        );
    }
  }
  // Paper inside a letter, as in an O, is left white when a page is cleared from its border.
  const inked = colors.filter(({ l }) => l < PAPER);
  const counted = inked.length * 4 > colors.length ? inked : colors;
  const middle = [...counted].sort((one, other) => one.l - other.l)[counted.length >> 1];
  if (!middle) return false;
  const alike = counted.filter((color) => oklabDistance(color, middle) < ONE_COLOR).length;
  return alike > 0.85 * counted.length;
}

/** Parts row by row, from left to right: a row is what overlaps its first part by half. */
function readingOrder(parts: readonly PagePart[]): PagePart[] {
  const waiting = [...parts].sort((one, other) => one.top - other.top);
  const ordered: PagePart[] = [];
  while (waiting.length > 0) {
    const first = waiting[0] as PagePart;
    const middle = (first.top + first.bottom) / 2;
    const row = waiting.filter(
      ({ top, bottom }) =>
        top <= middle &&
        abs((top + bottom) / 2 - middle) < max(first.bottom - first.top, bottom - top),
    );
    row.sort((one, other) => one.left - other.left);
    ordered.push(...row);
    row.forEach((part) => waiting.splice(waiting.indexOf(part), 1));
  }
  return ordered;
}
