import * as z from 'zod';
import { IDENTITY, type Affine } from '../geometry/index.ts';

const number = z.number().finite();
const share = z.number().min(0).max(1);

/** How a printer puts a file on one side of paper from one tray, as it was measured. */
const calibrationSchema = z.object({
  /** From mm of the file to mm on the paper. */
  map: z.tuple([number, number, number, number, number, number]),
  /** mm */
  residual: z.number().min(0),
  confidence: share,
  by: z.enum(['ruler', 'picture']),
  /** The sheet that it was measured on, mm. */
  sheet: z.object({ width: z.number().positive(), height: z.number().positive() }),
  /** ISO day. */
  date: z.string().max(10),
  /** How far off a sheet still was that was printed with the correction, mm. */
  checked: z.number().min(0).optional(),
});
export type KeptCalibration = z.infer<typeof calibrationSchema>;

/** The side of the paper that is printed: first, or after it was turned over. */
export const SIDES = ['front', 'back'] as const;
export type PaperSide = (typeof SIDES)[number];

const traySchema = z.object({
  id: z.string().min(1).max(60),
  name: z.string().min(1).max(80),
  front: calibrationSchema.optional(),
  back: calibrationSchema.optional(),
  /** How paper lies in it, as a test page has shown. */
  feed: z
    .object({
      /** Where the side looks that is printed. */
      printed: z.enum(['up', 'down']),
      /** Which end of the page is at the end of the paper that goes in first. */
      first: z.enum(['top', 'bottom']),
    })
    .optional(),
});
export type Tray = z.infer<typeof traySchema>;

const words = z.array(z.string().max(120)).max(400);

/** What a printer says that it can, in the words that it goes by itself (PWG 5101.1, RFC 8011). */
const offersSchema = z.object({
  /** Sizes of paper. */
  papers: words.optional(),
  trays: words,
  /** Kinds of paper. */
  types: words,
  color: z.boolean(),
  /** How many copies of a job it makes by itself; 1 where it never told. */
  copies: z.number().int().min(1).max(999).optional(),
  /** What it leaves free at the top, right, bottom and left, mm; absent where it does not tell. */
  margins: z.tuple([number, number, number, number]).optional(),
});
export type PrinterOffers = z.infer<typeof offersSchema>;

/** A printer of the workshop and what is known of each of its trays. */
export const printerSchema = z.object({
  id: z.string().min(1).max(100),
  name: z.string().min(1).max(80),
  trays: z.array(traySchema).min(1).max(12),
  /** Where it takes prints, `ipp://…`; absent where files are printed by another program. */
  address: z.string().max(300).optional(),
  /** Whether it prints both sides by itself, as it says. */
  duplex: z.boolean().optional(),
  offers: offersSchema.optional(),
  /** A small picture of it, as it shows itself. */
  picture: z
    .string()
    .regex(/^data:image\/png;base64,[\w+/=]+$/)
    .max(80_000)
    .optional(),
});
export type PrinterProfile = z.infer<typeof printerSchema>;

/** How a page has to be drawn for each side, mm to mm, so that the printer brings it to its place. */
export interface Correction {
  readonly front: Affine;
  readonly back: Affine;
}

/** A printer that needs none. */
export const NO_CORRECTION: Correction = { front: IDENTITY, back: IDENTITY };
