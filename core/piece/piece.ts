import * as z from 'zod';
import { apart, plainId } from '../base/index.ts';
import { edgeBuildSchema, edgeShapeSchema, shapeSize } from '../shape/index.ts';
import { thingSchema, type Thing } from '../things/index.ts';
import { elementSchema, type Picture } from './elements/index.ts';
import { color, fillSchema } from './fill.ts';

const creaseEnd = z.object({ x: z.number(), y: z.number() });

/** How long the name of a piece may be. */
export const PIECE_NAME_LETTERS = 120;

/** Where a piece comes from that belongs to another thing, or to another job. */
const guestSchema = z.object({
  /** The other job and what it is called; another thing of the same set where there is none. */
  job: plainId.optional(),
  jobName: z.string().max(120).optional(),
  /** Which thing it is there. */
  thing: plainId.optional(),
  piece: plainId,
  /** The row of the list there that fills it, by its key. */
  row: z.string().max(12).optional(),
  /** What it is measured for. */
  measured: thingSchema,
});
export type Guest = z.infer<typeof guestSchema>;

/** One label, sticker or tag: an edge with print inside. Elements print from first to last. */
export const pieceSchema = z.object({
  id: plainId,
  name: z.string().min(1).max(PIECE_NAME_LETTERS),
  edge: edgeShapeSchema,
  /** How far the ground prints beyond the edge, mm. */
  bleed: z.number().min(0).max(20),
  /** How far words keep from the edge, mm. */
  safe: z.number().min(0).max(50),
  /** The starting design that its artwork began with, by its name. */
  startedFrom: z.string().max(60).optional(),
  /** What fills the piece out to the bleed; null prints none. */
  ground: fillSchema.nullable(),
  elements: z.array(elementSchema).max(500).check(apart('id')),
  /** How the edge was made, where it was built from shapes; what it gives stands in `edge`. */
  build: edgeBuildSchema.optional(),
  /** Straight creases of its own, beside the folds of its thing; from end to end. */
  creases: z
    .array(z.tuple([creaseEnd, creaseEnd]))
    .max(40)
    .optional(),
  /** Lines to place things by that do not print: upright ones by their x, level ones by their y, mm. */
  guides: z
    .array(z.object({ axis: z.enum(['x', 'y']), at: z.number().min(-2000).max(2000) }))
    .max(60)
    .optional(),
  /** The piece whose other side this one is: printed behind it, in its edge as seen from behind. */
  behind: z.string().optional(),
  /** It lies on these sheets as a guest: it is as it is where it comes from, and is not changed here. */
  guest: guestSchema.optional(),
  /** A piece that follows another, its base, but for what was changed on it alone. */
  variant: z
    .object({
      base: z.string(),
      /** What it is measured for, where it is of another size than its base. */
      thing: thingSchema.optional(),
      /** Colours of the base, in small letters, that are others here. */
      colors: z.record(z.string(), color).optional(),
      /** A ground of its own. */
      ground: fillSchema.nullable().optional(),
      /** What was changed on this one alone, by element and field. */
      overrides: z.record(z.string(), z.record(z.string(), z.unknown())),
    })
    .optional(),
});
export type Piece = z.infer<typeof pieceSchema>;

/** How a picture stands that covers a piece out to its bleed. */
export function coverOf(
  piece: Piece,
): Pick<Picture, 'x' | 'y' | 'angle' | 'width' | 'height' | 'fit'> {
  const { width, height } = pieceSize(piece);
  const more = 2 * piece.bleed;
  return { x: 0, y: 0, angle: 0, width: width + more, height: height + more, fit: 'cover' };
}

/** The finished size of a piece, mm. */
export function pieceSize(piece: Piece): { width: number; height: number } {
  return shapeSize(piece.edge);
}

/** The thing that a piece goes onto: one of its own, or that of its job. */
export const thingOf = <T extends Thing | undefined>(
  { variant, guest }: Pick<Piece, 'variant' | 'guest'>,
  ofJob: T,
): Thing | T => variant?.thing ?? guest?.measured ?? ofJob;
