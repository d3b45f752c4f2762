import * as z from 'zod';
import { err, ok, type Result } from '../base/index.ts';
import {
  boxesMeet,
  boxOfRings,
  distanceBetween,
  flatten,
  mapPath,
  mapRing,
  placed,
  type Box,
  type Path,
  type Ring,
} from '../geometry/index.ts';
import { edgeShapeSchema, shapePath, shapeSize } from '../shape/index.ts';

const mm = z.number().positive().max(2000);

/** Labels in rows and columns, by their measured pitches. */
const gridSpotsSchema = z.object({
  layout: z.literal('grid'),
  shape: edgeShapeSchema,
  columns: z.number().int().min(1).max(100),
  rows: z.number().int().min(1).max(200),
  /** The centre of the first label from the sheet's left and top, mm. */
  left: mm,
  top: mm,
  /** From centre to centre, mm. */
  pitchX: mm,
  pitchY: mm,
  /** How far every other row is moved to the right, mm. */
  stagger: z.number().min(0).max(500).default(0),
});

/** Labels of one shape, each at a place of its own. */
const freeSpotsSchema = z.object({
  layout: z.literal('free'),
  shape: edgeShapeSchema,
  /** The centre of each label on the sheet, mm, and how far it is turned clockwise, degrees. */
  places: z
    .array(z.object({ x: mm, y: mm, angle: z.number().min(-360).max(360) }))
    .min(1)
    .max(2000),
});

/** Where the labels of a die-cut sheet are, or the discs in a carrier. */
export const spotsSchema = z.discriminatedUnion('layout', [gridSpotsSchema, freeSpotsSchema]);
export type Spots = z.infer<typeof spotsSchema>;
export type GridSpots = z.infer<typeof gridSpotsSchema>;

/** A sheet to print on: its measures alone; what it is made of is its material. */
export const stockSchema = z.object({
  id: z.string().min(1).max(200),
  name: z.string().min(1).max(120),
  /** A carrier is the tray that a printer takes printable discs in. */
  form: z.enum(['sheet', 'roll', 'carrier']),
  width: mm,
  height: mm,
  /** What the printer cannot reach: top, right, bottom, left, mm. */
  margins: z.tuple([z.number().min(0), z.number().min(0), z.number().min(0), z.number().min(0)]),
  spots: spotsSchema.nullable(),
});
export type Stock = z.infer<typeof stockSchema>;
/** A sheet with labels in rows and columns. */
export type GridStock = Stock & { spots: GridSpots };

/** One label's place on a sheet: its centre in mm and its turn in degrees. */
export interface SpotPlace {
  readonly x: number;
  readonly y: number;
  readonly angle: number;
}

/** The part of a sheet that the printer reaches. */
export function printable({ width, height, margins }: Stock): Box {
  const [top, right, bottom, left] = margins;
  return { left, top, right: width - right, bottom: height - bottom };
}

/** How many labels a die-cut sheet has. */
export function spotCount(spots: Spots): number {
  return spots.layout === 'free' ? spots.places.length : spots.columns * spots.rows;
}

/** The places of a die-cut sheet's labels, row by row. */
export function spotPlaces(spots: Spots): readonly SpotPlace[] {
  if (spots.layout === 'free') return spots.places;
  const { columns, left, top, pitchX, pitchY, stagger } = spots;
  return Array.from({ length: spotCount(spots) }, (_, index) => {
    const row = Math.floor(index / columns);
    return {
      x: left + (index % columns) * pitchX + (row % 2) * stagger,
      y: top + row * pitchY,
      angle: 0,
    };
  });
}

/** The outlines of a die-cut sheet's labels at their places, in the same order. */
export function spotPaths(spots: Spots): Path[] {
  const outline = shapePath(spots.shape);
  return spotPlaces(spots).map(({ x, y, angle }) => mapPath(outline, placed(x, y, angle)));
}

/** Whether a die-cut sheet closes: no label over the sheet's edge and none over another. */
export function checkSpots({ width, height, spots }: Stock): Result<true> {
  if (!spots) return ok(true);
  return spots.layout === 'grid'
    ? checkGrid(spots, width, height)
    : checkPlaces(spots, width, height);
}

const TOUCH = 0.05; // mm: outlines that were read from a file or a picture may touch

function checkPlaces(
  { shape, places }: { shape: Spots['shape']; places: readonly SpotPlace[] },
  width: number,
  height: number,
): Result<true> {
  const outline = flatten(shapePath(shape), 0.05).slice(0, 1);
  const labels = places.map((place) => {
    const rings = outline.map((ring): Ring => mapRing(ring, placed(place.x, place.y, place.angle)));
    return { rings, box: boxOfRings(rings) ?? { left: 0, top: 0, right: 0, bottom: 0 } };
  });
  for (const [at, { box, rings }] of labels.entries()) {
    if (Math.min(box.left, box.top, width - box.right, height - box.bottom) < -TOUCH)
      return err('stock/does-not-close', { label: at + 1 });
    const over = labels.findIndex(
      (other, index) =>
        index < at && boxesMeet(box, other.box) && distanceBetween(rings, other.rings) < -TOUCH,
    );
    if (over >= 0) return err('stock/overlap', { labels: [over + 1, at + 1] });
  }
  return ok(true);
}

function checkGrid(spots: GridSpots, width: number, height: number): Result<true> {
  const size = shapeSize(spots.shape);
  const across = [
    {
      name: 'width' as const,
      sheet: width,
      first: spots.left,
      pitch: spots.pitchX,
      count: spots.columns,
      label: size.width,
      more: spots.rows > 1 ? spots.stagger : 0,
    },
    {
      name: 'height' as const,
      sheet: height,
      first: spots.top,
      pitch: spots.pitchY,
      count: spots.rows,
      label: size.height,
      more: 0,
    },
  ];
  for (const way of across) {
    const end = way.first + (way.count - 1) * way.pitch + way.more + way.label / 2;
    if (way.first < way.label / 2 - 1e-6 || end > way.sheet + 1e-6) {
      return err('stock/does-not-close', { needed: end, across: way.name, sheet: way.sheet });
    }
    if (way.count > 1 && way.pitch < way.label - 1e-6) {
      // Staggered rounds and bent bands reach between each other: their outlines decide.
      if (way.name === 'height' && spots.shape.kind !== 'rectangle')
        return checkPlaces({ shape: spots.shape, places: spotPlaces(spots) }, width, height);
      return err('stock/overlap', { pitch: way.pitch, label: way.label });
    }
  }
  return ok(true);
}
