import type { Coded, SheetDoubts } from '../base/index.ts';
import {
  apply,
  fitAffine,
  fitSimilarity,
  residualOf,
  type Affine,
  type Point,
  type PointPair,
} from '../geometry/index.ts';
import {
  components,
  cropImage,
  darkness,
  type Component,
  type RgbaImage,
} from '../raster/index.ts';
import { markInk, type MarkPlace } from './ink.ts';

/** A picture of a loaded sheet, as a sensor or scanner gives it. */
export interface SheetPicture {
  readonly image: RgbaImage;
  readonly dpi: number;
}

/** What is known of how a sheet lies in a picture. */
export interface Registration {
  /** From mm on the sheet to mm in the picture; undefined when fewer than two marks were found. */
  readonly map?: Affine;
  /** One for each mark, in the order asked for; undefined where it was not found. */
  readonly found: readonly (Point | undefined)[];
  /** Root mean square distance in mm between the marks found and the fitted map. */
  readonly residual: number;
  /** From 0 (do not trust) to 1. */
  readonly confidence: number;
  /** Whether the ring dot stands where another mark was expected: the sheet lies the other way round. */
  readonly turned: boolean;
  /** Whether the ring dot was seen, or that another mark stands where it is on a sheet the other way round. */
  readonly wayKnown: boolean;
}

/** Something that shows parts of a loaded sheet. */
export interface MarkSensor {
  readonly dpi: number;
  /** A part of what it sees, px; paper where it sees nothing. */
  crop(box: { left: number; top: number; width: number; height: number }): RgbaImage;
}

const SEARCH = 9; // mm around the expected place: as far as a hand usually misplaces a sheet
const WIDE = 21; // mm: a sheet that lies far askew
const SURE = 5; // mm around a place that other marks tell
const LARGE = 0.05; // mm of residual that asks whether one of the marks is none
const NOTHING = 0.125; // mm of residual at which nothing is left of the confidence
const STRETCH = 0.015; // the most that paper or print are longer or shorter, as a share
const SKEW = 0.5; // the most that a sheet's sides leave a right angle, degrees

/** The least confidence with which a sheet is cut. */
export const TRUSTED = 0.6;

const isPicture = (seen: SheetPicture | MarkSensor): seen is SheetPicture => 'image' in seen;

function sensorOf(seen: SheetPicture | MarkSensor): MarkSensor {
  return isPicture(seen) ? { dpi: seen.dpi, crop: (box) => cropImage(seen.image, box) } : seen;
}

/** Where each mark is seen, mm in the picture; undefined where it is not. */
export function lookForMarks(
  seen: SheetPicture | MarkSensor,
  marks: readonly MarkPlace[],
): (Point | undefined)[] {
  const sensor = sensorOf(seen);
  return marks.map((mark) => findMark(sensor, mark, SEARCH)?.centre);
}

/**
 * Finds printed marks in a picture and how the sheet lies in it: a similarity from two or three
 * marks, an affine map from four, by least squares.
 *
 * Each mark is looked for within 9 mm of its place: a threshold by Otsu's method in that window,
 * patches of the size and form of its ink, and the centroid weighted by darkness, which of a corner
 * is not its tip. What is missing then is looked for where the others tell, or farther around. A mark
 * that does not fit the others is dropped. Two marks prove nothing but a length, so they are not
 * trusted.
 */
export function findMarks(
  seen: SheetPicture | MarkSensor,
  marks: readonly MarkPlace[],
): Registration {
  const sensor = sensorOf(seen);
  const inks = marks.map((mark) => markInk(mark).centre);
  let candidates = marks.map((mark) => findMark(sensor, mark, SEARCH));
  const paired = (): PointPair[] => pairsOf(inks, candidates);
  if (paired().length < 2) candidates = marks.map((mark) => findMark(sensor, mark, WIDE));
  if (paired().length >= 2 && paired().length < marks.length) {
    const lies = fitSimilarity(paired());
    candidates = candidates.map((found, at) => {
      const ink = inks[at];
      return found ?? (ink && findMark(sensor, marks[at] as MarkPlace, SURE, apply(lies, ink)));
    });
  }
  candidates = withoutFalse(inks, candidates);
  const pairs = paired();
  const turned = isTurned(sensor, marks, candidates);
  const wayKnown = isWayKnown(marks, candidates);
  const found = candidates.map((one) => one?.centre);
  if (pairs.length < 2) return { found, residual: Infinity, confidence: 0, turned, wayKnown };
  const map = fitted(pairs);
  const residual = residualOf(map, pairs);
  const least = pairs.length > 2 ? 1 : TRUSTED - 0.1;
  const share = Math.min(least, pairs.length / marks.length);
  const likely = wayKnown && !turned && !isDistorted(map);
  const confidence = likely ? share * Math.max(0, 1 - residual / NOTHING) : 0;
  return { map, found, residual, confidence, turned, wayKnown };
}

const fitted = (pairs: readonly PointPair[]): Affine =>
  pairs.length >= 4 ? fitAffine(pairs) : fitSimilarity(pairs);

function pairsOf(inks: readonly Point[], candidates: readonly (Seen | undefined)[]): PointPair[] {
  return inks.flatMap((from, at) => {
    const seen = candidates[at];
    return seen ? [{ from, to: seen.centre }] : [];
  });
}

/** Drops the one mark without which the others fit, where all together do not. */
function withoutFalse(
  inks: readonly Point[],
  candidates: readonly (Seen | undefined)[],
): (Seen | undefined)[] {
  const all = pairsOf(inks, candidates);
  if (all.length < 4 || residualOf(fitted(all), all) < LARGE) return [...candidates];
  const tries = candidates.flatMap((seen, left) => {
    if (!seen) return [];
    const others = candidates.map((one, at) => (at === left ? undefined : one));
    const pairs = pairsOf(inks, others);
    return [{ others, residual: residualOf(fitted(pairs), pairs) }];
  });
  const best = tries.sort((one, other) => one.residual - other.residual)[0];
  return best && best.residual < LARGE ? best.others : [...candidates];
}

/** Whether a sheet would have to be longer or shorter, or skewed, by more than paper and print are. */
function isDistorted([a, b, c, d]: Affine): boolean {
  const [across, down] = [Math.hypot(a, b), Math.hypot(c, d)];
  const skew = (Math.asin((a * c + b * d) / (across * down)) * 180) / Math.PI;
  return [across, down].some((scale) => Math.abs(scale - 1) > STRETCH) || Math.abs(skew) > SKEW;
}

/**
 * Whether it was seen which way round the sheet lies: by the ring, or by a mark without one at the
 * opposite corner, where the ring would be.
 */
function isWayKnown(
  marks: readonly MarkPlace[],
  candidates: readonly (Seen | undefined)[],
): boolean {
  const at = marks.findIndex(({ style }) => style === 'ring');
  const ring = marks[at];
  if (!ring) return true;
  const away = marks.map(({ x, y }) => Math.hypot(x - ring.x, y - ring.y));
  const opposite = candidates[away.indexOf(Math.max(...away))];
  return candidates[at]?.ringed === true || opposite?.ringed === false;
}

/** Whether the ring dot stands where another mark should. */
function isTurned(
  sensor: MarkSensor,
  marks: readonly MarkPlace[],
  candidates: readonly (Seen | undefined)[],
): boolean {
  const ring = marks.find(({ style }) => style === 'ring');
  const many = candidates.filter(Boolean).length >= 3;
  return marks.some((mark, index) => {
    const seen = candidates[index];
    if (mark.style === 'ring') return many && seen?.ringed === false;
    if (mark.style === 'dot') return many && seen?.ringed === true;
    // Where a mark of bars is missing, the ring dot may stand.
    const place = markInk(mark).centre;
    return !seen && ring !== undefined && findMark(sensor, { ...ring, ...place }, SEARCH)?.ringed;
  });
}

/** Why a sheet is not cut as it was found; undefined where it can be trusted. */
export function whyNotTrusted({
  confidence,
  found,
  map,
  residual,
  turned,
  wayKnown,
}: Registration): Coded<SheetDoubts> | undefined {
  if (confidence >= TRUSTED) return undefined;
  if (turned) return { code: 'turned-round', values: {} };
  const count = found.filter(Boolean).length;
  if (map && count > 2 && !wayKnown) return { code: 'way-unknown', values: {} };
  if (map && (isDistorted(map) || residual > LARGE)) return { code: 'not-these-marks', values: {} };
  return { code: 'marks-missing', values: { found: count, of: found.length } };
}

interface Seen {
  /** Of the ink, mm in the picture. */
  readonly centre: Point;
  readonly ringed: boolean;
}

/** Whether a patch of pixels has the form of a mark: how full its box is tells dots from bars. */
function hasForm(patch: Component, style: MarkPlace['style'], wanted: number): boolean {
  const wide = patch.right - patch.left;
  const high = patch.bottom - patch.top;
  const full = patch.area / (wide * high);
  const bars = style === 'cross' || style === 'corner';
  return (
    Math.abs(patch.area / wanted - 1) < (bars ? 0.45 : 0.35) &&
    Math.abs(wide / high - 1) < 0.2 &&
    (bars ? full > 0.18 && full < 0.48 : full > 0.68 && full < 0.88)
  );
}

/** Whether a patch lies around a dot, about the same middle. */
function isRingOf(patch: Component, dot: Component): boolean {
  const wide = dot.right - dot.left;
  return (
    patch !== dot &&
    patch.right - patch.left > 1.3 * wide &&
    patch.right - patch.left < 2.2 * wide &&
    Math.hypot((patch.left + patch.right) / 2 - dot.x, (patch.top + patch.bottom) / 2 - dot.y) <
      0.3 * wide
  );
}

/** A mark near a place, within a reach in mm. */
function findMark(
  { crop, dpi }: MarkSensor,
  mark: MarkPlace,
  within: number,
  place = markInk(mark).centre,
): Seen | undefined {
  const perMm = dpi / 25.4;
  const ink = markInk(mark);
  const reach = within + mark.size;
  const left = Math.round((place.x - reach) * perMm);
  const top = Math.round((place.y - reach) * perMm);
  const side = Math.round(reach * 2 * perMm);
  const dark = darkness(crop({ left, top, width: side, height: side }));
  const threshold = otsu(dark);
  if (threshold === undefined) return undefined;
  const patches = components(dark, side, threshold);
  const wanted = ink.area * perMm * perMm;
  const alike = patches.filter(
    (patch) => hasForm(patch, mark.style, wanted) && !patches.some((dot) => isRingOf(patch, dot)),
  );
  const middle = side / 2;
  const nearest = alike.sort(
    (one, other) =>
      Math.hypot(one.x - middle, one.y - middle) - Math.hypot(other.x - middle, other.y - middle),
  )[0];
  if (!nearest) return undefined;
  const ringed = patches.some((patch) => isRingOf(patch, nearest));
  return {
    centre: { x: (left + nearest.x) / perMm, y: (top + nearest.y) / perMm },
    ringed,
  };
}

/** The threshold that parts dark from light best; undefined where all is much alike. Otsu (1979). */
function otsu(values: Uint8Array): number | undefined {
  const counts = new Float64Array(256);
  for (const value of values) counts[value] = (counts[value] ?? 0) + 1;
  let sum = 0;
  counts.forEach((count, value) => (sum += count * value));
  let best = { variance: 0, threshold: 0, contrast: 0 };
  let below = 0;
  let sumBelow = 0;
  for (let value = 0; value < 255; value++) {
    below += counts[value] ?? 0;
    sumBelow += (counts[value] ?? 0) * value;
    const above = values.length - below;
    if (below === 0 || above === 0) continue;
    const contrast = (sum - sumBelow) / above - sumBelow / below;
    const variance = below * above * contrast * contrast;
    if (variance > best.variance) best = { variance, threshold: value, contrast };
  }
  return best.contrast < 40 ? undefined : best.threshold;
}
