import { z } from 'zod';

/** What may be done with a picture or a typeface, as its maker or seller says. */
export const licenceSchema = z.enum(['own', 'free', 'credit', 'private']);
export type Licence = z.infer<typeof licenceSchema>;
