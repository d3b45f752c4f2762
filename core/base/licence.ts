import * as z from 'zod';

/** What may be done with a picture or a typeface, as its maker or seller says. */
export const licenceSchema = z.enum(['own', 'free', 'credit', 'private']);
export type Licence = z.infer<typeof licenceSchema>;

/** The same thing with another licence noted, or with none. */
export function withLicence<T extends { licence?: Licence | undefined }>(
  of: T,
  licence: Licence | undefined,
): T {
  const { licence: before, ...rest } = of;
  void before; // replaced, or left out
  return (licence ? { ...rest, licence } : rest) as T;
}
