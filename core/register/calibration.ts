import {
  apply,
  fitAffine,
  fitSimilarity,
  residualOf,
  type Affine,
  type Point,
  type PointPair,
} from '../geometry/index.ts';
import { greyToRgba, type GreyImage, type RgbaImage } from '../raster/index.ts';
import { sheetFromAbove } from './from-above.ts';
import type { MarkPlace } from './ink.ts';
import { lookForMarks } from './marks.ts';
import { findSheetCorners, type SheetCorners } from './sheet-corners.ts';

/** The sheet of a calibration, mm. */
export interface CalibratedSheet {
  readonly width: number;
  readonly height: number;
}

/** How a printer puts a file on paper. */
export interface Calibration {
  /** From mm of the file to mm on the paper, from the top left corner of the side that is printed on. */
  readonly map: Affine;
  /** Root mean square distance in mm between where marks were found and the map. */
  readonly residual: number;
  /** From 0 (do not trust) to 1. */
  readonly confidence: number;
  /** How many marks it was found from, and how many there are. */
  readonly found: number;
  readonly of: number;
}

/** What a picture of a calibration sheet tells. */
export interface SeenCalibration extends Calibration {
  /** Whether the sheet was printed with the correction of an earlier one. */
  readonly corrected: boolean;
  /** The sheet from straight above, and where its crosses were found on it, mm. */
  readonly flat: GreyImage;
  readonly crosses: readonly (Point | undefined)[];
}

/** Why a picture tells nothing: the paper's edges, or the marks on it, are not seen. */
export type Unseen = 'no-edges' | 'no-marks';

const CROSS = 8; // mm
const INSET = 18; // mm from the sheet's sides
const [ACROSS, DOWN] = [4, 5];
const DOT = 4; // mm
const BESIDE = [9, 15]; // mm from the first cross: one dot says which corner it is, a second that it is a check
const PER_MM = 8; // of the sheet from above, px
const FAR = 0.15; // mm: the least distance at which a cross may count as an outlier
const TRUSTED = 0.3; // mm of residual at which nothing is left of the confidence

/** The crosses of a calibration sheet along its sides, the corners among them; row by row. */
export function calibrationCrosses({ width, height }: CalibratedSheet): MarkPlace[] {
  const at = (side: number, step: number, of: number): number =>
    INSET + (step * (side - 2 * INSET)) / (of - 1);
  return Array.from({ length: ACROSS * DOWN }, (_, index) => [
    index % ACROSS,
    Math.floor(index / ACROSS),
  ])
    .filter(([x, y]) => x === 0 || x === ACROSS - 1 || y === 0 || y === DOWN - 1)
    .map(([x = 0, y = 0]) => ({
      x: at(width, x, ACROSS),
      y: at(height, y, DOWN),
      size: CROSS,
      style: 'cross' as const,
    }));
}

/** The dots beside the first cross: one on a test sheet, two on a sheet that is printed with a correction. */
export function calibrationDots(corrected: boolean): MarkPlace[] {
  return BESIDE.slice(0, corrected ? 2 : 1).map((by) => ({
    x: INSET + by,
    y: INSET,
    size: DOT,
    style: 'dot',
  }));
}

/**
 * Finds how a printer put a calibration sheet on paper, from a scan or a phone picture of it on something
 * darker or lighter. The paper's corners take the perspective out, a dot tells which way up it lies, and
 * an affine map by least squares goes through the crosses that were found, outliers dropped.
 * @param byHand where a hand has put the corners, px; else they are looked for
 */
export function findCalibration(
  image: RgbaImage,
  sheet: CalibratedSheet,
  byHand?: SheetCorners,
): SeenCalibration | Unseen {
  const corners = byHand ?? findSheetCorners(image);
  if (!byHand && fillsPicture(corners, image)) return 'no-edges';
  const places = calibrationCrosses(sheet);
  for (const turned of turnsOf(corners, sheet)) {
    const flat = sheetFromAbove(image, turned, sheet, PER_MM);
    const picture = { image: greyToRgba(flat), dpi: PER_MM * 25.4 };
    const [first, second] = lookForMarks(picture, calibrationDots(true));
    if (!first) continue;
    const crosses = lookForMarks(picture, places);
    const pairs = pairsOf(places, crosses);
    if (pairs.length < 3) continue;
    return {
      ...fitted(pairs, places.length),
      // Where there is one dot it is found twice.
      corrected: second !== undefined && Math.hypot(second.x - first.x, second.y - first.y) > DOT,
      flat,
      crosses,
    };
  }
  return 'no-marks';
}

/** A reading of a ruler at one cross: how far its lines are from the nearest sides of the paper, mm. */
export interface RulerReading {
  readonly side: number;
  readonly end: number;
}

/** The crosses that a ruler is held to: those of the corners, clockwise from the top left. */
export function ruledCrosses(sheet: CalibratedSheet): Point[] {
  const [left, top] = [INSET, INSET];
  const [right, bottom] = [sheet.width - INSET, sheet.height - INSET];
  return [
    { x: left, y: top },
    { x: right, y: top },
    { x: right, y: bottom },
    { x: left, y: bottom },
  ];
}

/**
 * How a printer put a calibration sheet on paper, from readings at its corner crosses, clockwise from
 * the top left: an affine map from four, a similarity from three or two; undefined for fewer.
 */
export function calibrationByRuler(
  sheet: CalibratedSheet,
  readings: readonly (RulerReading | undefined)[],
): Calibration | undefined {
  const places = ruledCrosses(sheet);
  const read = places.map(({ x, y }, at): Point | undefined => {
    const reading = readings[at];
    return (
      reading && {
        x: x < sheet.width / 2 ? reading.side : sheet.width - reading.side,
        y: y < sheet.height / 2 ? reading.end : sheet.height - reading.end,
      }
    );
  });
  const pairs = pairsOf(places, read);
  return pairs.length < 2 ? undefined : fitted(pairs, places.length);
}

const pairsOf = (from: readonly Point[], to: readonly (Point | undefined)[]): PointPair[] =>
  from.flatMap(({ x, y }, at) => {
    const seen = to[at];
    return seen ? [{ from: { x, y }, to: seen }] : [];
  });

/** The map through pairs, without those that lie far from what the others say. */
function fitted(pairs: readonly PointPair[], of: number): Calibration {
  const fit = (some: readonly PointPair[]): Affine =>
    some.length > 3 ? fitAffine(some) : fitSimilarity(some);
  const off = (map: Affine, { from, to }: PointPair): number => {
    const at = apply(map, from);
    return Math.hypot(at.x - to.x, at.y - to.y);
  };
  let kept = pairs;
  let map = fit(kept);
  while (kept.length > 4) {
    const worst = kept.reduce((one, other) => (off(map, other) > off(map, one) ? other : one));
    const others = kept.filter((pair) => pair !== worst);
    const without = fit(others);
    if (off(without, worst) < Math.max(FAR, 5 * residualOf(without, others))) break;
    [kept, map] = [others, without];
  }
  const residual = residualOf(map, kept);
  const confidence = (kept.length / of) * Math.max(0, 1 - residual / TRUSTED);
  return { map, residual, confidence, found: kept.length, of };
}

/** Whether the corners are the picture's own, since no other edge was seen. */
const fillsPicture = (corners: SheetCorners, { width, height }: RgbaImage): boolean =>
  corners.every(({ x, y }) => (x <= 1 || x >= width - 1) && (y <= 1 || y >= height - 1));

/** The corners as they are for each way that the sheet may lie in the picture, the likelier ones first. */
function turnsOf(corners: SheetCorners, { width, height }: CalibratedSheet): SheetCorners[] {
  const [a, b, c, d] = corners;
  const across = Math.hypot(b.x - a.x, b.y - a.y);
  const down = Math.hypot(d.x - a.x, d.y - a.y);
  const stands: SheetCorners[] = [
    [a, b, c, d],
    [c, d, a, b],
  ];
  const lies: SheetCorners[] = [
    [d, a, b, c],
    [b, c, d, a],
  ];
  return across > down === width > height ? [...stands, ...lies] : [...lies, ...stands];
}

/** What a map does to a sheet, in numbers that people know. */
export interface MapFacts {
  /** How far the middle of the sheet is moved, mm to the right and down. */
  readonly right: number;
  readonly down: number;
  /** Clockwise, degrees. */
  readonly turn: number;
  /** Shares of the length across and down: 1 is true. */
  readonly across: number;
  readonly along: number;
  /** By how much the right angle between across and down opens, degrees. */
  readonly skew: number;
}

/** What a map does to a sheet. */
export function mapFacts(map: Affine, { width, height }: CalibratedSheet): MapFacts {
  const [a, b, c, d] = map;
  const middle = { x: width / 2, y: height / 2 };
  const at = apply(map, middle);
  const degrees = 180 / Math.PI;
  const across = Math.hypot(a, b);
  return {
    right: at.x - middle.x,
    down: at.y - middle.y,
    turn: Math.atan2(b, a) * degrees,
    across,
    along: (a * d - b * c) / across,
    skew: Math.atan2(a * c + b * d, a * d - b * c) * degrees,
  };
}

/** How far a map moves the corner of a sheet that it moves most, mm. */
export function farthest(map: Affine, { width, height }: CalibratedSheet): number {
  const corners = [
    [0, 0],
    [width, 0],
    [width, height],
    [0, height],
  ];
  return Math.max(
    ...corners.map(([x = 0, y = 0]) => {
      const at = apply(map, { x, y });
      return Math.hypot(at.x - x, at.y - y);
    }),
  );
}
