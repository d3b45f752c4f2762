import * as z from 'zod';
import { contentHash, err, licenceSchema, ok, type Result } from '../base/index.ts';
import { axisSchema, cutAt, cutsAlong, instanceId, readInstanceId, type Axis } from './axes.ts';
import { cutSchema, inOrder, type Cut } from './cuts.ts';
import { TYPEFACES, type Face, type Family, type FamilyCut } from './families.ts';
import { fontIn } from './sfnt.ts';
import { loadTypeface, readCollection, type Typeface } from './shaper.ts';
import { sniffTypeface, unpackTypeface } from './woff.ts';

/** A typeface that the user has added: what is known of it without its bytes. */
export const ownTypefaceSchema = z.object({
  /** SHA-256 of the kept bytes. */
  id: z.string().regex(/^[0-9a-f]{64}$/),
  family: z.string().min(1).max(100),
  ...cutSchema.shape,
  /** What a variable one can be moved along. */
  axes: z.array(axisSchema).max(16).optional(),
  /** Its letters are printed as outlines, since files to print have no place for its kind. */
  outlinesOnly: z.literal(true).optional(),
  /** What its maker allows of files that it stands in: to be read and printed, or changed too. */
  embedding: z.enum(['print', 'edit']),
  /** What the user has noted of its use. */
  licence: licenceSchema.optional(),
});
export type OwnTypeface = z.infer<typeof ownTypefaceSchema>;

/** What was known of a typeface while families had four styles, as it is known now. */
export function typefaceFromVersion12(old: unknown): unknown {
  if (typeof old !== 'object' || old === null || !('style' in old)) return old;
  const { style, ...kept } = old;
  return {
    ...kept,
    weight: String(style).startsWith('bold') ? 700 : 400,
    width: 100,
    italic: String(style).endsWith('italic'),
  };
}

const MOST = 40 * 1024 * 1024; // bytes of a file that is taken in

/** One typeface of a collection. */
export interface FaceInFile extends Cut {
  /** From 0. */
  readonly number: number;
  readonly family: string;
}

/** Whether a file holds several typefaces of which some are chosen. */
export const isCollection = (bytes: Uint8Array): boolean => sniffTypeface(bytes) === 'collection';

/** The typefaces in a collection, to choose from. */
export function facesInFile(bytes: Uint8Array, name: string): Result<FaceInFile[]> {
  const tooLarge = refusedSize(bytes, name);
  if (tooLarge) return tooLarge;
  try {
    return ok(
      readCollection(bytes).map(({ family, weight, width, italic }, number) => ({
        ...{ number, weight, width, italic },
        family: family || name,
      })),
    );
  } catch {
    return err('type/broken', { name }, name);
  }
}

/**
 * Takes in a typeface file; kept is the TrueType or OpenType file in it. One whose maker does not allow
 * it to stand in files is refused, since every print goes through a file.
 * @param name the file's name
 * @param number which of a collection, from 0
 */
export async function readTypeface(
  bytes: Uint8Array,
  name: string,
  number = 0,
): Promise<Result<{ readonly typeface: OwnTypeface; readonly bytes: Uint8Array }>> {
  const tooLarge = refusedSize(bytes, name);
  if (tooLarge) return tooLarge;
  const kind = sniffTypeface(bytes);
  if (kind === undefined) return err('type/unknown-kind', { name }, name);
  let kept: Uint8Array;
  let loaded: Typeface;
  try {
    kept = kind === 'collection' ? fontIn(bytes, number) : await unpackTypeface(bytes);
    loaded = loadTypeface(name, kept);
  } catch {
    return err('type/broken', { name }, name);
  }
  const { embedding, family, weight, width, italic, axes, outlinesOnly } = loaded.metadata;
  if (embedding === 'none') return err('type/not-embeddable', { family: family || name }, name);
  return ok({
    typeface: {
      id: contentHash(kept),
      family: (family || name.replace(/\.[^.]*$/, '')).slice(0, 100),
      ...{ weight, width, italic, embedding },
      ...(axes.length ? { axes: [...axes] } : {}),
      ...(outlinesOnly ? { outlinesOnly } : {}),
    },
    bytes: kept,
  });
}

const refusedSize = ({ length }: Uint8Array, name: string): Result<never> | undefined =>
  length > MOST
    ? err(
        'type/too-large',
        { name, megabytes: Math.ceil(length / 1048576), most: MOST / 1048576 },
        name,
      )
    : undefined;

/** The cuts that an own typeface is chosen by: itself, or those along the axes of a variable one. */
const cutsOf = ({ id, axes, weight, width, italic }: OwnTypeface): FamilyCut[] =>
  axes
    ? cutsAlong({ weight, width, italic }, axes).map(({ cut, values }) => ({
        ...cut,
        id: instanceId(id, axes, values),
      }))
    : [{ id, weight, width, italic }];

/** Own typefaces as families, by name; of two of the same cut the later one counts. */
export function ownFamilies(own: readonly OwnTypeface[]): Family[] {
  const families = new Map<string, Map<string, FamilyCut>>();
  for (const one of own) {
    const cuts = families.get(one.family) ?? new Map<string, FamilyCut>();
    families.set(one.family, cuts);
    for (const cut of cutsOf(one)) cuts.set([cut.weight, cut.width, cut.italic].join(), cut);
  }
  return [...families]
    .sort(([one], [other]) => (one < other ? -1 : 1))
    .map(([name, cuts]) => ({ name, character: 'own', cuts: inOrder([...cuts.values()]) }));
}

/** The cut of an id among those that ship and own ones, wherever on its axes. */
export function findFace(id: string, own: readonly OwnTypeface[]): Face | undefined {
  const shipped = TYPEFACES.find((one) => one.id === id);
  if (shipped) return shipped;
  const { id: base, values } = readInstanceId(id);
  const typeface = own.find((one) => one.id === base);
  const [family] = ownFamilies(own.filter((one) => one.family === typeface?.family));
  return typeface && family && { ...cutAt(typeface, values), id, family };
}

/** The axes of a typeface, and where it is on them; none unless it is an own variable one. */
export function axesOf(
  id: string,
  own: readonly OwnTypeface[],
): { readonly axes: readonly Axis[]; readonly values: Readonly<Record<string, number>> } {
  const { id: base, values } = readInstanceId(id);
  const axes = own.find((one) => one.id === base)?.axes ?? [];
  return {
    axes,
    values: Object.fromEntries(axes.map(({ tag, usual }) => [tag, values[tag] ?? usual])),
  };
}
