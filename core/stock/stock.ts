import { z } from 'zod';
import { bad, good, type Result } from '../base/index.ts';
import type { Box, Point } from '../geometry/index.ts';
import { edgeShapeSchema, shapeSize } from '../shape/index.ts';
import { formatLength } from '../units/index.ts';

const mm = z.number().positive().max(2000);

/** Where the labels of a die-cut sheet are: rows and columns by their measured pitches. */
export const spotsSchema = z.object({
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
export type Spots = z.infer<typeof spotsSchema>;

/** A sheet to print on. */
export const stockSchema = z.object({
  id: z.string().min(1),
  name: z.string().min(1).max(120),
  width: mm,
  height: mm,
  /** What the printer cannot reach: top, right, bottom, left, mm. */
  margins: z.tuple([z.number().min(0), z.number().min(0), z.number().min(0), z.number().min(0)]),
  /** The colour of the paper, for the screen and for contrast. */
  color: z.string().regex(/^#[0-9a-f]{6}$/i),
  spots: spotsSchema.nullable(),
});
export type Stock = z.infer<typeof stockSchema>;

/** The part of a sheet that the printer reaches. */
export function printable({ width, height, margins }: Stock): Box {
  const [top, right, bottom, left] = margins;
  return { left, top, right: width - right, bottom: height - bottom };
}

/** The centres of a die-cut sheet's labels, row by row. */
export function spotCentres(spots: Spots): Point[] {
  return Array.from({ length: spots.rows * spots.columns }, (_, index) => ({
    x:
      spots.left +
      (index % spots.columns) * spots.pitchX +
      (Math.floor(index / spots.columns) % 2) * spots.stagger,
    y: spots.top + Math.floor(index / spots.columns) * spots.pitchY,
  }));
}

/** Whether a die-cut sheet closes: no label over the sheet's edge and none over another. */
export function checkSpots({ width, height, spots }: Stock): Result<true> {
  if (!spots) return good(true);
  const size = shapeSize(spots.shape);
  const across = [
    {
      name: 'width',
      sheet: width,
      first: spots.left,
      pitch: spots.pitchX,
      count: spots.columns,
      label: size.width,
      more: spots.rows > 1 ? spots.stagger : 0,
    },
    {
      name: 'height',
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
      return bad(
        'stock/does-not-close',
        `The labels need ${formatLength(end, 'mm')} of the sheet's ${way.name} of ${formatLength(way.sheet, 'mm')}.`,
        'Measure the margins and the pitch again.',
      );
    }
    const interlocks = way.name === 'height' && spots.stagger > 0;
    if (way.count > 1 && !interlocks && way.pitch < way.label - 1e-6) {
      return bad(
        'stock/overlap',
        `A pitch of ${formatLength(way.pitch, 'mm')} lays labels of ${formatLength(way.label, 'mm')} over each other.`,
        'Measure from the centre of one label to the centre of the next.',
      );
    }
  }
  return good(true);
}
