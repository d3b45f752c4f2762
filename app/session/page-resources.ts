import { shallowRef } from 'vue';
import { artOfJob, findTypeface, typefacesOf, type Job } from '../../core/job/index.ts';
import { vectorNodes, type VectorNodes } from '../../core/art/index.ts';
import { readInstanceId, typefaceAt, type Typeface } from '../../core/type/index.ts';
import { createCompiler, type PieceCompiler } from '../../core/piece/index.ts';
import { pagePlatform } from '../calls/index.ts';
import { artBytes, blobOf } from '../storage/index.ts';
import type { PageSources } from '../ui/drawing-svg.ts';
import { inTurn } from '../ui/in-turn.ts';

const typefaces = new Map<string, Typeface>();
const vectors = new Map<string, VectorNodes>();
const urls = new Map<string, string>();
const asked = new Set<string>();

/** Grows whenever something that drawings wait for has been loaded. */
export const resourceVersion = shallowRef(0);

/** A typeface that is loaded, wherever on its axes: those of a place are made at once. */
function typefaceOf(id: string): Typeface | undefined {
  const usual = typefaces.get(readInstanceId(id).id);
  return usual && typefaceAt(usual, id);
}

/** What drawings on this page are made from. */
export const pageSources: PageSources = {
  typeface: typefaceOf,
  imageUrl: (art) => urls.get(art),
};

const compiler = createCompiler({
  typeface: typefaceOf,
  vector: (art) => vectors.get(art),
});

/**
 * Compiles pieces on this page; what has not been loaded leaves an empty frame. Whatever is computed
 * with it is computed again when more has been loaded.
 */
export const pageCompiler: PieceCompiler = {
  compile: (...args) => {
    void resourceVersion.value;
    return compiler.compile(...args);
  },
};

/** Loads what a job names and this page does not have yet. */
export async function loadFor(job: Pick<Job, 'pieces' | 'art'>): Promise<void> {
  const faces = loadFaces(typefacesOf(job));
  const art = artOfJob(job).flatMap((id) => {
    const kind = job.art[id]?.kind;
    return kind ? [once(`art:${id}`, () => loadArt(id, kind))] : [];
  });
  await Promise.all([faces, ...art]);
}

/** Loads typefaces, with all places on their axes. */
export async function loadFaces(ids: readonly string[]): Promise<void> {
  const files = new Set(ids.map((id) => readInstanceId(id).id));
  await Promise.all([...files].map((id) => once(`typeface:${id}`, () => loadTypeface(id))));
}

/** Forgets that art was asked for, so that it is looked for again. */
export function forgetMissing(): void {
  for (const key of asked) {
    const id = key.slice(key.indexOf(':') + 1);
    if (!typefaces.has(id) && !vectors.has(id) && !urls.has(id)) asked.delete(key);
  }
}

async function once(key: string, load: () => Promise<void>): Promise<void> {
  if (asked.has(key)) return;
  asked.add(key);
  await load();
  announce();
}

const TOGETHER = 25; // ms in which what is loaded is drawn at once
let announcing = false;

function announce(): void {
  if (announcing) return;
  announcing = true;
  setTimeout(() => {
    announcing = false;
    resourceVersion.value++;
  }, TOGETHER);
}

async function loadTypeface(id: string): Promise<void> {
  const typeface = await findTypeface(pagePlatform, id, artBytes);
  if (typeface) typefaces.set(id, typeface);
}

/** A few at a time, so that the page answers between them. */
const read = inTurn(3);

async function loadArt(id: string, kind: 'pixels' | 'vector'): Promise<void> {
  const bytes = await read(() => artBytes(id));
  if (!bytes) return;
  if (kind === 'vector') vectors.set(id, vectorNodes(bytes));
  else urls.set(id, URL.createObjectURL(blobOf(bytes)));
}
