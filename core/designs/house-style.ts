import * as z from 'zod';
import { artSchema } from '../art/index.ts';
import { color } from '../piece/index.ts';
import { emphasisSchema } from '../type/index.ts';

/** What a workshop puts on all that it makes, and offers to every new job. */
export const houseStyleSchema = z.object({
  /** Who made it. */
  maker: z.string().max(80),
  /** The address, care or ingredients that end a label. */
  smallPrint: z.string().max(2000),
  /** Words that are set stronger among ingredients. */
  emphasis: emphasisSchema.default([]),
  /** Its mark, from the art drawer. */
  mark: artSchema.nullable(),
  /** Typefaces of names and of everything else. */
  faces: z.object({ display: z.string(), text: z.string() }).nullable(),
  /** Ground, ink, accent and a soft colour, of its own or kept from jobs. */
  palettes: z
    .array(z.object({ name: z.string().min(1).max(60), colors: z.array(color).min(2).max(12) }))
    .max(40),
});
export type HouseStyle = z.infer<typeof houseStyleSchema>;

export const NO_HOUSE_STYLE: HouseStyle = {
  maker: '',
  smallPrint: '',
  emphasis: [],
  mark: null,
  faces: null,
  palettes: [],
};
