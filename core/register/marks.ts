import {
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
}

const SEARCH = 9; // mm around the expected place: as far as a hand can misplace a sheet

/**
 * Finds printed marks in a picture and how the sheet lies in it: a similarity from two or three
 * marks, an affine map from four, by least squares.
 *
 * Each mark is looked for within 9 mm of its place: a threshold by Otsu's method in that window,
 * patches of the size and form of its ink, and the centroid weighted by darkness, which of a corner
 * is not its tip.
 */
export function findMarks(picture: SheetPicture, marks: readonly MarkPlace[]): Registration {
  const candidates = marks.map((mark) => findMark(picture, mark));
  const inks = marks.map((mark) => markInk(mark).centre);
  const pairs = inks.flatMap((from, index): PointPair[] => {
    const seen = candidates[index];
    return seen ? [{ from, to: seen.centre }] : [];
  });
  const ring = marks.find(({ style }) => style === 'ring');
  const turned = marks.some(({ style }, index) => {
    const seen = candidates[index];
    if (style === 'ring') return pairs.length >= 3 && seen?.ringed === false;
    if (style === 'dot') return pairs.length >= 3 && seen?.ringed === true;
    // Where a mark of bars is missing, the ring dot may stand.
    return !seen && ring !== undefined && findMark(picture, { ...ring, ...inks[index] })?.ringed;
  });
  const found = candidates.map((seen) => seen?.centre);
  if (pairs.length < 2) return { found, residual: Infinity, confidence: 0, turned };
  const map = pairs.length >= 4 ? fitAffine(pairs) : fitSimilarity(pairs);
  const residual = residualOf(map, pairs);
  const confidence = turned ? 0 : (pairs.length / marks.length) * Math.max(0, 1 - residual / 0.3);
  return { map, found, residual, confidence, turned };
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

function findMark({ image, dpi }: SheetPicture, mark: MarkPlace): Seen | undefined {
  const perMm = dpi / 25.4;
  const ink = markInk(mark);
  const reach = SEARCH + mark.size;
  const left = Math.round((ink.centre.x - reach) * perMm);
  const top = Math.round((ink.centre.y - reach) * perMm);
  const side = Math.round(reach * 2 * perMm);
  const dark = darkness(cropImage(image, { left, top, width: side, height: side }));
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
