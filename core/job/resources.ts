import { isSame, type Platform } from '../base/index.ts';
import { vectorNodes, type VectorNodes } from '../art/index.ts';
import { typefacesOfElement, type Resources } from '../piece/index.ts';
import {
  loadShipped,
  loadTypeface,
  readInstanceId,
  typefaceAt,
  TYPEFACES,
  type OwnTypeface,
  type Typeface,
} from '../type/index.ts';
import { artOfJob } from './art-use.ts';
import { piecesAndOneOffs } from './copies.ts';
import type { Job } from './schema.ts';

/** Gives the kept bytes of art by its hash; undefined when they are lost. */
export type ArtBytes = (id: string) => Promise<Uint8Array | undefined>;

/** Everything that files of a job are made from. */
export interface JobResources extends Resources {
  /** The kept bytes of art, loaded. */
  bytes(art: string): Uint8Array | undefined;
}

const typefaces = new WeakMap<Platform, Map<string, Promise<Typeface | undefined>>>();

/**
 * A typeface that ships, or one that was added, at its place on its axes: loaded once for each platform;
 * undefined when there is none of that id.
 */
export async function findTypeface(
  platform: Platform,
  id: string,
  ownBytes: ArtBytes,
): Promise<Typeface | undefined> {
  const known = typefaces.get(platform) ?? new Map<string, Promise<Typeface | undefined>>();
  typefaces.set(platform, known);
  const { id: base } = readInstanceId(id);
  const loading =
    known.get(base) ??
    (TYPEFACES.some((one) => one.id === base)
      ? loadShipped(platform, base)
      : ownBytes(base).then((bytes) => bytes && loadTypeface(base, bytes)));
  known.set(base, loading);
  const found = await loading;
  if (!found) known.delete(base); // it may be added later
  return found && typefaceAt(found, id);
}

/** The ids of all typefaces that a job's words are set in, each with its place on its axes. */
export function typefacesOf(job: Pick<Job, 'pieces' | 'oneOffs' | 'set'>): string[] {
  const ids = piecesAndOneOffs(job).flatMap(({ elements }) => elements.flatMap(typefacesOfElement));
  return [...new Set(ids)];
}

/**
 * The job with what is known of the own typefaces that it names, and of no others: by the workshop, or
 * else as the job brought it. The same job when that is so already.
 */
export function withTypefaces(job: Job, known: readonly OwnTypeface[]): Job {
  const before = job.typefaces ?? {};
  const ids = new Set(typefacesOf(job).map((id) => readInstanceId(id).id));
  const named = [...ids].flatMap((id) => known.find((one) => one.id === id) ?? before[id] ?? []);
  const now = Object.fromEntries(named.map((one) => [one.id, one]));
  if (isSame(now, before)) return job;
  const { typefaces: dropped, ...rest } = job;
  void dropped;
  return named.length ? { ...rest, typefaces: now } : rest;
}

/** Loads all that a job names. What cannot be had stays undefined and is a need when compiled. */
export async function loadResources(
  platform: Platform,
  job: Job,
  artBytes: ArtBytes,
): Promise<JobResources> {
  const faces = new Map<string, Typeface>();
  for (const id of typefacesOf(job)) {
    const typeface = await findTypeface(platform, id, artBytes);
    if (typeface) faces.set(id, typeface);
  }
  const bytes = new Map<string, Uint8Array>();
  const vectors = new Map<string, VectorNodes>();
  // Originals of art that was made from them are kept with a job and drawn nowhere.
  for (const id of artOfJob(job)) {
    const art = job.art[id];
    const found = art && (await artBytes(art.id));
    if (!found) continue;
    bytes.set(art.id, found);
    if (art.kind === 'vector') vectors.set(art.id, vectorNodes(found));
  }
  return {
    typeface: (id) => faces.get(id),
    vector: (id) => vectors.get(id),
    bytes: (id) => bytes.get(id),
  };
}
