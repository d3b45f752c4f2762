import { z } from 'zod';
import { boxAbout, type Box } from '../geometry/index.ts';
import type { Stock } from './stock.ts';

/** The registration marks of a sheet. */
export const marksSchema = z.object({
  on: z.boolean(),
  /** Width of a dot, mm. */
  size: z.number().min(2).max(12),
  /** From the sheet's sides to the middle of a dot, mm. */
  inset: z.number().min(3).max(60),
});
export type Marks = z.infer<typeof marksSchema>;

/** One printed mark by its centre, mm on the sheet. */
export interface Mark {
  readonly x: number;
  readonly y: number;
  readonly size: number;
  readonly style: 'dot' | 'ring';
}

/** The radius of the ring around the first dot and the width of its line, as shares of the size. */
export const RING = { radius: 0.775, width: 0.15 } as const;

/** What the sensor needs free around a dot, mm. */
const QUIET = 4;

/** The marks of a sheet, from the top left clockwise; the first has a ring, so that the sheet's way round is known. */
export function sheetMarks(
  { width, height }: Pick<Stock, 'width' | 'height'>,
  marks: Marks,
): Mark[] {
  if (!marks.on) return [];
  const { size, inset } = marks;
  return [
    { x: inset, y: inset, size, style: 'ring' },
    { x: width - inset, y: inset, size, style: 'dot' },
    { x: width - inset, y: height - inset, size, style: 'dot' },
    { x: inset, y: height - inset, size, style: 'dot' },
  ];
}

/** The zones around the marks in which nothing may stand. */
export function keepClear(stock: Pick<Stock, 'width' | 'height'>, marks: Marks): Box[] {
  return sheetMarks(stock, marks).map((mark) => {
    const side = 2 * (mark.size * (RING.radius + RING.width / 2) + QUIET);
    return boxAbout(mark, side, side);
  });
}
