import {
  ownTypefaceSchema,
  typefaceFromVersion12,
  type OwnTypeface,
} from '../../core/type/index.ts';
import { database } from './database.ts';

const KEY = 'typefaces';

/** Reads a list of typefaces as it was kept, or as a backup brings it; what cannot be read is left out. */
export function readOwnTypefaces(kept: unknown): OwnTypeface[] {
  return (Array.isArray(kept) ? kept : []).flatMap((one) => {
    const read = ownTypefaceSchema.safeParse(typefaceFromVersion12(one));
    return read.success ? [read.data] : [];
  });
}

/** The typefaces that were added to this workshop. */
export async function ownTypefaces(): Promise<OwnTypeface[]> {
  return readOwnTypefaces(await database.workshop.getItem<unknown>(KEY));
}

/** The ids of those of which no more was noted than an earlier version knew. */
export async function oldTypefaces(): Promise<string[]> {
  const kept = await database.workshop.getItem<unknown>(KEY);
  return (Array.isArray(kept) ? kept : []).flatMap((one: unknown) => {
    const [read] = readOwnTypefaces([one]);
    return read && typefaceFromVersion12(one) !== one ? [read.id] : [];
  });
}

/** Keeps the list of typefaces; the bytes of one that left it stay until the next sweep. */
export async function keepOwnTypefaces(list: readonly OwnTypeface[]): Promise<void> {
  await database.workshop.setItem(KEY, list);
}
