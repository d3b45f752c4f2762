import {
  doing,
  err,
  ok,
  seededRandom,
  unwatched,
  type Platform,
  type Random,
  type Result,
  type Task,
} from '../base/index.ts';
import type { CompiledJob, JobResources } from '../job/index.ts';
import { renderPdf } from '../pdf/index.ts';
import {
  boxesMeet,
  compose,
  distanceBetween,
  grown,
  IDENTITY,
  invert,
  nested,
  scaling,
  signedArea,
  type Affine,
  type Point,
} from '../geometry/index.ts';
import { warpImage, type RgbaImage } from '../raster/index.ts';
import { findMarks, TRUSTED, type MarkSensor, type SheetPicture } from '../register/index.ts';
import type { CompiledSheet } from '../sheet/index.ts';
import { sheetPdf } from './sheet-pdf.ts';
import {
  CUTTER_SPREAD,
  grainOf,
  sampleLoadError,
  samplePrintError,
  PRINTER_SPREAD,
  type CutterSpread,
  type PrinterSpread,
} from './device-spread.ts';

/** How a rehearsal is done. */
export interface Rehearsed {
  readonly times: number;
  readonly seed: number;
  readonly printer?: PrinterSpread;
  readonly cutter?: CutterSpread;
}

/** What many rehearsals say of one copy. */
export interface CopyChance {
  readonly copy: string;
  /** In which share of the rehearsals paper showed at its edge. */
  readonly sliver: number;
  /** Where it came nearest to showing, on the sheet, mm. */
  readonly worst: Point;
  /** What was left of its bleed there when it was least, mm; below 0 paper shows. */
  readonly least: number;
}

/** What many rehearsals of a sheet say. */
export interface Chances {
  readonly times: number;
  /** In how many of them the marks were not trusted, so that nothing was cut. */
  readonly refused: number;
  readonly copies: readonly CopyChance[];
  /** How far each cut strayed outwards from its print, mm: one value a copy and rehearsal, ascending. */
  readonly strays: Float32Array;
  /** The same also where the label is as pale as paper: what comes near a neighbour. */
  readonly outs: Float32Array;
  /** The smallest distance between the edges of two copies, mm; absent where one lies alone. */
  readonly gap?: number;
  /** The bleed with which 99 of 100 labels show no paper, mm. */
  readonly bleedFor99: number;
  /** The largest distance of a cut from its print in each rehearsal, mm, and the residual of its marks. */
  readonly deviations: Float32Array;
  readonly residuals: Float32Array;
}

const STEP = 1; // mm between the places along an edge that are looked at
const BAND = 3; // mm outside the edge in which print is looked for
const PROBE = 0.1; // mm
const BED = [232, 229, 224, 255] as const;
const PAPER = 246; // of 255: lighter than this in all channels is paper

const { ceil, floor, hypot, max, min } = Math;

/**
 * Rehearses a sheet many times: its print is rendered once, and each time only the windows around the
 * marks are drawn as a sensor sees them, and places along the cut edges are compared with how far the
 * print reaches there. Deterministic for a seed.
 * @param picture the sheet as it is printed when nothing is off
 */
export async function rehearse(
  sheet: CompiledSheet,
  picture: SheetPicture,
  { times, seed, printer = PRINTER_SPREAD, cutter = CUTTER_SPREAD }: Rehearsed,
  task: Task = unwatched,
): Promise<Chances> {
  const edges = sheet.copies.map((copy) => edgeOf(copy.trim[0] ?? [], copy.bleed, picture));
  const tally = edges.map(() => ({ slivers: 0, least: Infinity, worst: { x: 0, y: 0 } }));
  const strays: number[] = [];
  const outs: number[] = [];
  const deviations: number[] = [];
  const residuals: number[] = [];
  let refused = 0;
  for (let time = 0; time < times; time++) {
    if (time % 4 === 0) {
      task.progress(time / times, doing('rehearsing', { time: time + 1, of: times }));
      await task.yieldNow();
    }
    const random = seededRandom(seed + 7919 * time);
    const actualTransform = compose(
      sampleLoadError(random, cutter),
      samplePrintError(random, sheet.drawing, printer),
    );
    const found = registered(sheet, { picture, actualTransform, random, noise: cutter.noise });
    if (!found) {
      refused++;
      continue;
    }
    residuals.push(found.residual);
    // From where a line should be in the print to where it is cut in the print.
    const off = compose(invert(actualTransform), found.map);
    let far = 0;
    edges.forEach((edge, at) => {
      const seen = strayOf(edge, off);
      far = max(far, seen.far);
      strays.push(seen.stray);
      outs.push(seen.out);
      const one = tally[at];
      if (!one) return;
      if (seen.left < 0) one.slivers++;
      if (seen.left < one.least) Object.assign(one, { least: seen.left, worst: seen.at });
    });
    deviations.push(far);
  }
  const cut = max(1, times - refused);
  const sorted = Float32Array.from(strays).sort();
  const gap = smallestGap(sheet.copies);
  return {
    times,
    refused,
    copies: sheet.copies.map(({ placement }, at) => ({
      copy: placement.copy,
      sliver: (tally[at]?.slivers ?? 0) / cut,
      worst: tally[at]?.worst ?? { x: 0, y: 0 },
      least: tally[at]?.least ?? 0,
    })),
    strays: sorted,
    outs: Float32Array.from(outs).sort(),
    ...(gap === undefined ? {} : { gap }),
    bleedFor99: strayFor(sorted, 0.99),
    deviations: Float32Array.from(deviations),
    residuals: Float32Array.from(residuals),
  };
}

const DPI = 200;

/** Rehearses a sheet of a job, by the very file that would be printed. */
export async function rehearseSheet(
  whole: CompiledJob,
  {
    platform,
    resources,
    sheet: index,
    task = unwatched,
    ...rehearsed
  }: Rehearsed & {
    readonly platform: Platform;
    readonly resources: JobResources;
    readonly sheet: number;
    readonly task?: Task;
  },
): Promise<Result<Chances>> {
  task.progress(0, doing('rendering', {}));
  const found = await sheetPdf(platform, { compiled: whole, resources, sheet: index });
  if (!found?.sheet.copies.length) return err('run/empty', {});
  const { sheet, pdf } = found;
  await task.yieldNow();
  const image = await renderPdf(platform, { pdf, page: 0, dpi: DPI });
  return ok(await rehearse(sheet, { image, dpi: DPI }, rehearsed, task));
}

/** How far cuts stray at most in a share of all labels, mm, from 0 up. */
export function strayFor(strays: Float32Array, share: number): number {
  const at = min(strays.length - 1, ceil(share * strays.length) - 1);
  return max(0, strays[at] ?? 0);
}

/**
 * The chance that a cut strays farther than so many mm: with a bleed of that width paper shows then, with
 * such a gap the cut gets into a neighbour.
 * @param strays ascending, mm
 */
export function chanceBeyond(strays: Float32Array, by: number): number {
  let [low, high] = [0, strays.length];
  while (low < high) {
    const middle = floor((low + high) / 2);
    if ((strays[middle] as number) > by) high = middle;
    else low = middle + 1;
  }
  return strays.length ? (strays.length - low) / strays.length : 0;
}

/** Several parts of the same rehearsal, done side by side, as one. */
export function allChances(parts: readonly Chances[]): Chances {
  const [first] = parts;
  if (!first) throw new Error('nothing was rehearsed');
  const joined = (pick: (one: Chances) => Float32Array): Float32Array =>
    Float32Array.from(parts.flatMap((one) => [...pick(one)]));
  const cut = (one: Chances): number => max(1, one.times - one.refused);
  const all = parts.reduce((sum, one) => sum + cut(one), 0);
  const strays = joined(({ strays: found }) => found).sort();
  return {
    times: parts.reduce((sum, one) => sum + one.times, 0),
    refused: parts.reduce((sum, one) => sum + one.refused, 0),
    copies: first.copies.map(({ copy }, at) => {
      const ones = parts.flatMap((part) => {
        const one = part.copies[at];
        return one ? [{ ...one, weight: cut(part) / all }] : [];
      });
      const least = ones.reduce((low, one) => (one.least < low.least ? one : low));
      return {
        copy,
        sliver: ones.reduce((sum, one) => sum + one.sliver * one.weight, 0),
        worst: least.worst,
        least: least.least,
      };
    }),
    strays,
    outs: joined((one) => one.outs).sort(),
    ...(first.gap === undefined ? {} : { gap: first.gap }),
    bleedFor99: strayFor(strays, 0.99),
    deviations: joined(({ deviations }) => deviations),
    residuals: joined(({ residuals }) => residuals),
  };
}

const NEAR = 20; // mm in which a neighbour is looked for

function smallestGap(copies: CompiledSheet['copies']): number | undefined {
  let least = NEAR;
  copies.forEach((copy, at) => {
    for (const other of copies.slice(at + 1))
      if (boxesMeet(grown(copy.box, least), other.box))
        least = min(least, distanceBetween(copy.trim, other.trim, least));
  });
  return least < NEAR ? least : undefined;
}

/** Places along the edge of a copy: where they are, which way is out, and how far the print reaches there. */
interface Edge {
  readonly places: Float32Array;
  readonly outward: Float32Array;
  /** Infinite where the label itself is as pale as paper: nothing can show. */
  readonly reach: Float32Array;
}

function edgeOf(ring: readonly Point[], bleed: number, picture: SheetPicture): Edge {
  const places: number[] = [];
  const outward: number[] = [];
  const reach: number[] = [];
  const way = signedArea(ring) > 0 ? 1 : -1; // clockwise as seen, or not
  let left = 0;
  ring.forEach((from, at) => {
    const to = ring[(at + 1) % ring.length] ?? from;
    const length = hypot(to.x - from.x, to.y - from.y);
    if (length === 0) return;
    const [nx, ny] = [(way * (to.y - from.y)) / length, (-way * (to.x - from.x)) / length];
    for (; left < length; left += STEP) {
      const share = left / length;
      const place = {
        x: from.x + (to.x - from.x) * share,
        y: from.y + (to.y - from.y) * share,
      };
      places.push(place.x, place.y);
      outward.push(nx, ny);
      reach.push(reachAt(place, { nx, ny, bleed }, picture));
    }
    left -= length;
  });
  return {
    places: Float32Array.from(places),
    outward: Float32Array.from(outward),
    reach: Float32Array.from(reach),
  };
}

/** How far print goes on outside of a place on the edge, mm. */
function reachAt(
  { x, y }: Point,
  { nx, ny, bleed }: { nx: number; ny: number; bleed: number },
  picture: SheetPicture,
): number {
  const inside = isPaper(picture, x - nx * 0.3, y - ny * 0.3);
  if (inside) return Infinity;
  const far = min(BAND, bleed + PROBE);
  for (let out = PROBE; out <= far; out += PROBE)
    if (isPaper(picture, x + nx * out, y + ny * out)) return out - PROBE;
  return far;
}

function isPaper({ image, dpi }: SheetPicture, x: number, y: number): boolean {
  const [u, v] = [floor((x * dpi) / 25.4), floor((y * dpi) / 25.4)];
  if (u < 0 || v < 0 || u >= image.width || v >= image.height) return true;
  const at = (v * image.width + u) * 4;
  return (
    (image.data[at] as number) > PAPER &&
    (image.data[at + 1] as number) > PAPER &&
    (image.data[at + 2] as number) > PAPER
  );
}

/** How an edge comes out when its cut is off by a map. */
function strayOf(
  { places, outward, reach }: Edge,
  off: Affine,
): { far: number; stray: number; out: number; left: number; at: Point } {
  let [far, stray, most, left, worst] = [0, -Infinity, -Infinity, Infinity, 0];
  for (let at = 0; at < reach.length; at++) {
    const [x, y] = [places[at * 2] as number, places[at * 2 + 1] as number];
    const dx = off[0] * x + off[2] * y + off[4] - x;
    const dy = off[1] * x + off[3] * y + off[5] - y;
    const out = dx * (outward[at * 2] as number) + dy * (outward[at * 2 + 1] as number);
    far = max(far, hypot(dx, dy));
    most = max(most, out);
    if ((reach[at] as number) === Infinity) continue;
    stray = max(stray, out);
    const rest = (reach[at] as number) - out;
    if (rest < left) [left, worst] = [rest, at];
  }
  const at = { x: places[worst * 2] ?? 0, y: places[worst * 2 + 1] ?? 0 };
  return { far, stray, out: most, left, at };
}

// Drawn once and read on from another place each time: noise enough, and quick.
const grains = seededRandom(1);
const GRAIN = Float32Array.from({ length: 65_521 }, () => grainOf(grains, 1));

function addGrain({ data }: RgbaImage, from: number, noise: number): void {
  for (let at = 0, next = from; at < data.length; at += 4) {
    const grain = noise * (GRAIN[next] as number);
    next = next + 1 === GRAIN.length ? 0 : next + 1;
    data[at] = (data[at] as number) + grain;
    data[at + 1] = (data[at + 1] as number) + grain;
    data[at + 2] = (data[at + 2] as number) + grain;
  }
}

interface Loaded {
  readonly picture: SheetPicture;
  /** Where mm of the file lie in front of the sensor. */
  readonly actualTransform: Affine;
  readonly random: Random;
  readonly noise: number;
}

/** How the sensor makes out that the sheet lies; undefined where it does not trust the marks. */
function registered(
  sheet: CompiledSheet,
  { picture, actualTransform, random, noise }: Loaded,
): { map: Affine; residual: number } | undefined {
  if (sheet.marks.length === 0) return { map: IDENTITY, residual: 0 };
  const { image, dpi } = picture;
  // The page fills whole pixels; on paper a mm is a mm again.
  const fill = scaling(image.width / sheet.drawing.width, image.height / sheet.drawing.height);
  const back = nested(fill, invert(actualTransform), scaling(25.4 / dpi));
  const sensor: MarkSensor = {
    dpi,
    crop({ left, top, width, height }): RgbaImage {
      const moved = compose(back, [1, 0, 0, 1, left, top]);
      const seen = warpImage(image, moved, { width, height }, BED);
      addGrain(seen, floor(random.next() * GRAIN.length), noise);
      return seen;
    },
  };
  const { map, residual, confidence } = findMarks(sensor, sheet.marks);
  return map && confidence >= TRUSTED ? { map, residual } : undefined;
}
