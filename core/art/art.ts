import * as z from 'zod';
import { licenceSchema } from '../base/index.ts';
import type { DrawingNode } from '../drawing/index.ts';
import { recipeSchema } from './recipe.ts';

const hash = z.string().regex(/^[0-9a-f]{64}$/);

const common = {
  /** SHA-256 of the stored bytes. */
  id: hash,
  name: z.string().min(1).max(200),
  tags: z.array(z.string().max(60)).max(50),
  /** What it was made from, and how; the original is kept beside it. */
  made: z.object({ from: hash, recipe: recipeSchema }).optional(),
  /** Where it came from, in the user's words. */
  source: z.string().max(500).optional(),
  licence: licenceSchema.optional(),
};

/** What a job knows of a picture of pixels. */
export const pixelArtSchema = z.object({
  ...common,
  kind: z.literal('pixels'),
  format: z.enum(['png', 'jpeg', 'webp']),
  /** Stored pixels, before the orientation is applied. */
  pixelWidth: z.number().int().positive(),
  pixelHeight: z.number().int().positive(),
  /** 1 to 8, as in EXIF. */
  orientation: z.number().int().min(1).max(8),
  dpi: z.number().positive(),
  /** Whether the file itself named its resolution. */
  dpiKnown: z.boolean(),
});

/** What a job knows of a vector picture. */
export const vectorArtSchema = z.object({
  ...common,
  kind: z.literal('vector'),
  /** mm */
  width: z.number().positive(),
  height: z.number().positive(),
});

/** A picture in the art drawer: what is known of it without its bytes. */
export const artSchema = z.discriminatedUnion('kind', [pixelArtSchema, vectorArtSchema]);
export type Art = z.infer<typeof artSchema>;
export type PixelArt = z.infer<typeof pixelArtSchema>;
export type VectorArt = z.infer<typeof vectorArtSchema>;

/** The nodes of a vector picture, in mm from its top left corner. */
export type VectorNodes = readonly DrawingNode[];

/** How large a picture is by its own resolution, as it is seen, in mm. */
export function artSize(art: Art): { width: number; height: number } {
  if (art.kind === 'vector') return { width: art.width, height: art.height };
  const mm = 25.4 / art.dpi;
  const [width, height] = [art.pixelWidth * mm, art.pixelHeight * mm];
  return art.orientation > 4 ? { width: height, height: width } : { width, height };
}
