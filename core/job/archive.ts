import { zipSync, type Zippable } from 'fflate';
import {
  contentHash,
  err,
  ok,
  readZip,
  sortedKeys,
  type JobPlace,
  type ProblemValues,
  type Result,
  type ZipBudget,
} from '../base/index.ts';
import type { Art } from '../art/index.ts';
import { mendJob } from './mend.ts';
import type { ArtBytes } from './resources.ts';
import type { Job } from './schema.ts';

/** A job with the bytes of its art and own typefaces, by hash. */
export interface JobWithArt {
  readonly job: Job;
  readonly art: ReadonlyMap<string, Uint8Array>;
}

/** The hashes of all files that a job names: its art and its own typefaces. */
export const filesOf = (job: Pick<Job, 'art' | 'typefaces'>): string[] => [
  ...Object.keys(job.art),
  ...Object.keys(job.typefaces ?? {}),
];

/** A job with all of its art and typefaces that are there. */
export async function jobWithArt(job: Job, artBytes: ArtBytes): Promise<JobWithArt> {
  const art = new Map<string, Uint8Array>();
  for (const id of filesOf(job)) {
    const bytes = await artBytes(id);
    if (bytes) art.set(id, bytes);
  }
  return { job, art };
}

/** What an archive may hold at most. */
export const ARCHIVE_LIMITS = { entries: 5000, bytes: 600 * 1024 * 1024 } as const;

const EXTENSION = { png: 'png', jpeg: 'jpg', webp: 'webp' } as const;
const artFile = (art: Art): string =>
  `art/${art.id}.${art.kind === 'vector' ? 'svg' : EXTENSION[art.format]}`;
const typefaceFile = (id: string): string => `typefaces/${id}.font`;
// The first day that ZIP can say, in local fields as ZIP has them: the same bytes in every time zone.
const FIXED_TIME = new Date(1980, 0, 1);

/**
 * Writes a `.peel` archive: a ZIP of `job.json`, the art under `art/` and own typefaces under
 * `typefaces/`, with sorted entries and fixed times, so that the same job gives the same bytes.
 * @param document what goes into it as the job, where that cannot be read whole
 */
export function writePeel({ job, art }: JobWithArt, document: unknown = job): Uint8Array {
  const files: Record<string, Uint8Array> = {
    'job.json': new TextEncoder().encode(`${JSON.stringify(sortedKeys(document), null, 2)}\n`),
  };
  for (const [id, known] of Object.entries(job.art)) {
    const bytes = art.get(id);
    if (bytes) files[artFile(known)] = bytes;
  }
  for (const id of Object.keys(job.typefaces ?? {})) {
    const bytes = art.get(id);
    if (bytes) files[typefaceFile(id)] = bytes;
  }
  return zip(files);
}

const unread = (name: string, why: Omit<ProblemValues['job/unread'], 'source'>): Result<never> =>
  err('job/unread', { source: { kind: 'file', name }, ...why }, name);

/** Reads a `.peel` archive; art that is missing or damaged leaves its place empty. */
export function parsePeel(bytes: Uint8Array, name: string): Result<JobWithArt> {
  const read = mendPeel(bytes, name);
  if (!read.ok) return read;
  const { leftOut, ...whole } = read.value;
  if (leftOut.length === 0) return ok(whole);
  return unread(name, { because: 'in-part', part: leftOut[0] ?? [] });
}

/** A `.peel` archive as far as it can be read, and what of its job cannot be. */
export function mendPeel(
  bytes: Uint8Array,
  name: string,
  budget = archiveBudget(),
): Result<JobWithArt & { readonly leftOut: readonly JobPlace[] }> {
  const files = unzip(bytes, name, budget);
  if (!files.ok) return files;
  const document = files.value.get('job.json');
  if (!document) return unread(name, { because: 'no-document' });
  let plain: unknown;
  try {
    plain = JSON.parse(new TextDecoder().decode(document));
  } catch {
    return unread(name, { because: 'broken-document' });
  }
  const read = mendJob(plain, { kind: 'file', name });
  if (!read.ok) return read;
  const { job, leftOut } = read.value;
  const art = new Map<string, Uint8Array>();
  const kept = [
    ...Object.entries(job.art).map(([id, known]) => [id, artFile(known)] as const),
    ...Object.keys(job.typefaces ?? {}).map((id) => [id, typefaceFile(id)] as const),
  ];
  for (const [id, file] of kept) {
    const found = files.value.get(file);
    if (found && contentHash(found) === id) art.set(id, found);
  }
  return ok({ job, art, leftOut });
}

/**
 * Writes one file that holds every job, each as its own `.peel`, other plain documents, and art that
 * no job has.
 */
export function writeBackup(
  jobs: readonly JobWithArt[],
  documents: Readonly<Record<string, unknown>>,
  art: ReadonlyMap<string, Uint8Array> = new Map(),
): Uint8Array {
  const files: Record<string, Uint8Array> = {};
  for (const [id, bytes] of art) files[`art/${id}`] = bytes;
  for (const [name, value] of Object.entries(documents)) {
    files[`${name}.json`] = new TextEncoder().encode(JSON.stringify(value));
  }
  for (const one of jobs) files[`jobs/${one.job.id}.peel`] = writePeel(one);
  return zip(files);
}

/** A backup that was read: its jobs, its documents, and the names of jobs that were damaged. */
export interface Backup {
  readonly jobs: readonly JobWithArt[];
  readonly documents: Readonly<Record<string, unknown>>;
  readonly damaged: readonly string[];
  /** Art that no job has, by its hash. */
  readonly art: ReadonlyMap<string, Uint8Array>;
}

/** Reads a backup; a damaged job does not stop the others. */
export function parseBackup(bytes: Uint8Array, name: string): Result<Backup> {
  const budget = archiveBudget();
  const files = unzip(bytes, name, budget);
  if (!files.ok) return files;
  const jobs: JobWithArt[] = [];
  const damaged: string[] = [];
  const art = new Map<string, Uint8Array>();
  const documents: Record<string, unknown> = {};
  for (const [file, content] of files.value) {
    if (file.startsWith('jobs/') && file.endsWith('.peel')) {
      const read = mendPeel(content, file, budget);
      if (read.ok) jobs.push(read.value);
      if (!read.ok || read.value.leftOut.length) damaged.push(file);
    } else if (file.startsWith('art/')) {
      if (contentHash(content) === file.slice(4)) art.set(file.slice(4), content);
      else damaged.push(file);
    } else if (file.endsWith('.json')) {
      try {
        documents[file.slice(0, -5)] = JSON.parse(new TextDecoder().decode(content));
      } catch {
        damaged.push(file);
      }
    }
  }
  // A workshop without jobs still has its other documents; a single job's file has none of them.
  if (jobs.length === 0 && damaged.length === 0 && !('runs' in documents))
    return err('backup/unread', { name }, name);
  return ok({ jobs, documents, damaged, art });
}

/** Whether a ZIP holds a workshop rather than pictures, by the names in it. */
export function isBackup(bytes: Uint8Array): boolean {
  let found = false;
  readZip(bytes, archiveBudget(), (name) => {
    found ||= name === 'runs.json' || /^jobs\/.*\.peel$/.test(name);
    return false;
  });
  return found;
}

/** Several files as one, with sorted entries and fixed times. */
export function zipFiles(
  files: readonly { readonly name: string; readonly bytes: Uint8Array }[],
): Uint8Array {
  return zip(Object.fromEntries(files.map(({ name, bytes }) => [name, bytes])));
}

function zip(files: Readonly<Record<string, Uint8Array>>): Uint8Array {
  const entries: Zippable = {};
  for (const name of Object.keys(files).sort()) {
    const bytes = files[name];
    if (bytes)
      entries[name] = [bytes, { level: /\.(json|svg)$/.test(name) ? 6 : 0, mtime: FIXED_TIME }];
  }
  return zipSync(entries);
}

const archiveBudget = (): ZipBudget => ({ ...ARCHIVE_LIMITS });

function unzip(
  bytes: Uint8Array,
  name: string,
  budget: ZipBudget,
): Result<Map<string, Uint8Array>> {
  const read = readZip(bytes, budget);
  if ('entries' in read)
    return ok(new Map(read.entries.map(({ name: file, bytes: content }) => [file, content])));
  if (read.fault === 'entries' || read.fault === 'size')
    return err(
      'archive/too-large',
      { name, megabytes: ARCHIVE_LIMITS.bytes / 1048576, files: ARCHIVE_LIMITS.entries },
      name,
    );
  return err('archive/broken', { name }, name);
}
