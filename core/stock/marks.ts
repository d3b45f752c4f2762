import * as z from 'zod';
import { latestFor } from '../base/index.ts';
import { grown, type Box } from '../geometry/index.ts';
import { markBox, type MarkPlace } from '../register/index.ts';
import { printable, type Stock } from './stock.ts';

/**
 * The registration marks of a sheet. A cutter with marks of its own brings such a record: how they
 * look, where they stand, and what its sensor needs free around them.
 */
export const marksSchema = z.object({
  on: z.boolean(),
  style: z.enum(['dot', 'cross', 'corner']),
  /** Width of a dot or length of the bars, mm. */
  size: z.number().min(2).max(30),
  /** From the sheet's sides to the middle of a mark (the tip of a corner), mm. */
  inset: z.number().min(3).max(100),
  /** The same from top and bottom. */
  insetEnds: z.number().min(3).max(100),
  number: z.union([z.literal(3), z.literal(4), z.literal(6)]),
  /** What the sensor needs free around the ink, mm. */
  quiet: z.number().min(0).max(30),
});
export type Marks = z.infer<typeof marksSchema>;
export type Mark = MarkPlace;

/** How wide the ring dot is beside marks of bars, mm. */
const RING_SIZE = 5;

/** The marks that a new job prints. */
export const USUAL_MARKS: Marks = {
  on: true,
  style: 'dot',
  size: 5,
  inset: 11,
  insetEnds: 11,
  number: 4,
  quiet: 4,
};

/**
 * The marks of a sheet, from the top left clockwise, those in the middle of its sides last. The first
 * is a dot in a ring, whatever the others are, so that the sheet's way round is known.
 */
export function sheetMarks(
  { width, height }: Pick<Stock, 'width' | 'height'>,
  marks: Marks,
): Mark[] {
  if (!marks.on) return [];
  const { size, inset, insetEnds, style, number } = marks;
  const [right, bottom] = [width - inset, height - insetEnds];
  const around: Mark[] = [
    { x: inset, y: insetEnds, size: style === 'dot' ? size : RING_SIZE, style: 'ring' },
    { x: right, y: insetEnds, size, style, turn: 90 },
    { x: right, y: bottom, size, style, turn: 180 },
    { x: inset, y: bottom, size, style, turn: 270 },
  ];
  // A corner has its tip where it is measured to, a ring dot its middle.
  const middle = style === 'corner' ? 'cross' : style;
  const sides: Mark[] = [
    { x: right, y: height / 2, size, style: middle },
    { x: inset, y: height / 2, size, style: middle },
  ];
  if (number === 3) return around.filter((_, at) => at !== 2);
  return number === 6 ? [...around, ...sides] : around;
}

/** The zones around the marks in which nothing may stand. */
export const keepClear = latestFor(
  (stock: Pick<Stock, 'width' | 'height'>, marks: Marks): readonly Box[] =>
    sheetMarks(stock, marks).map((mark) => grown(markBox(mark), marks.quiet)),
);

/** The share of a sheet on which copies may stand: inside its margins and outside the marks' zones. */
export function usableShare(stock: Stock, marks: Marks): number {
  const room = printable(stock);
  const within = (low: number, high: number, from: number, to: number): number =>
    Math.max(0, Math.min(high, to) - Math.max(low, from));
  const taken = keepClear(stock, marks).reduce(
    (sum, zone) =>
      sum +
      within(room.left, room.right, zone.left, zone.right) *
        within(room.top, room.bottom, zone.top, zone.bottom),
    0,
  );
  const all = (room.right - room.left) * (room.bottom - room.top);
  return (all - taken) / (stock.width * stock.height);
}
