import * as z from 'zod';
import { err, contentHash, ok, licenceSchema, type Result } from '../base/index.ts';
import { facesOf, TYPEFACES, type Face, type Family } from './families.ts';
import { loadTypeface, type Typeface } from './shaper.ts';
import type { FaceStyle } from './font-metadata.ts';
import { sniffTypeface, unpackTypeface } from './woff.ts';

/** A typeface that the user has added: what is known of it without its bytes. */
export const ownTypefaceSchema = z.object({
  /** SHA-256 of the kept bytes. */
  id: z.string().regex(/^[0-9a-f]{64}$/),
  family: z.string().min(1).max(100),
  style: z.enum(['regular', 'italic', 'bold', 'bold-italic']),
  /** What its maker allows of files that it stands in: to be read and printed, or changed too. */
  embedding: z.enum(['print', 'edit']),
  /** What the user has noted of its use. */
  licence: licenceSchema.optional(),
});
export type OwnTypeface = z.infer<typeof ownTypefaceSchema>;

const MOST = 20 * 1024 * 1024; // bytes of a file that is taken in

/**
 * Takes in a typeface file; kept is the TrueType or OpenType file in it. One whose maker does not allow
 * it to stand in files is refused, since every print goes through a file.
 * @param name the file's name
 */
export function readTypeface(
  bytes: Uint8Array,
  name: string,
): Result<{ readonly typeface: OwnTypeface; readonly bytes: Uint8Array }> {
  if (bytes.length > MOST)
    return err(
      'type/too-large',
      { name, megabytes: Math.round(bytes.length / 1048576), most: MOST / 1048576 },
      name,
    );
  const kind = sniffTypeface(bytes);
  if (kind === 'collection') return err('type/collection', { name }, name);
  if (kind === undefined) return err('type/unknown-kind', { name }, name);
  let kept: Uint8Array;
  let loaded: Typeface;
  try {
    kept = unpackTypeface(bytes);
    loaded = loadTypeface(name, kept);
  } catch {
    return err('type/broken', { name }, name);
  }
  const { embedding, family, style } = loaded.metadata;
  if (embedding === 'none') return err('type/not-embeddable', { family: family || name }, name);
  return ok({
    typeface: {
      id: contentHash(kept),
      family: (family || name.replace(/\.[^.]*$/, '')).slice(0, 100),
      style,
      embedding,
    },
    bytes: kept,
  });
}

/** Own typefaces as families, by name; of two of the same cut the later one counts. */
export function ownFamilies(own: readonly OwnTypeface[]): Family[] {
  const families = new Map<string, Partial<Record<FaceStyle, string>>>();
  for (const { family, style, id } of own)
    families.set(family, { ...families.get(family), [style]: id });
  return [...families]
    .sort(([one], [other]) => (one < other ? -1 : 1))
    .map(([name, faces]) => ({ name, character: 'own', faces }));
}

/** The cut of an id among those that ship and own ones. */
export const findFace = (id: string, own: readonly OwnTypeface[]): Face | undefined =>
  TYPEFACES.find((one) => one.id === id) ?? facesOf(ownFamilies(own)).find((one) => one.id === id);
