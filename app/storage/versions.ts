import type { JobPlace } from '../../core/base/index.ts';
import { mendJob, type Job } from '../../core/job/index.ts';
import { database } from './database.ts';

/** A job as it once was. */
export interface JobVersion {
  /** Milliseconds since 1970. */
  readonly at: number;
  readonly job: Job;
  /** What of it could not be read, in words; nothing where it is whole. */
  readonly leftOut: readonly JobPlace[];
  /** As it is kept. */
  readonly original: unknown;
}

/** A version as it is kept. */
interface KeptVersion {
  readonly at: number;
  readonly job: unknown;
  /** It was kept because not all of it could be read: it does not make room for others. */
  readonly damaged?: true;
}

const MOST = 20;

const keptVersions = async (id: string): Promise<KeptVersion[]> =>
  (await database.versions.getItem<KeptVersion[]>(id)) ?? [];

/** The versions of a job, read as far as they can be, the latest first. */
export async function versionsOf(id: string): Promise<JobVersion[]> {
  return (await keptVersions(id)).flatMap(({ at, job }) => {
    const read = mendJob(job);
    return read.ok ? [{ at, original: job, ...read.value }] : [];
  });
}

async function keep(id: string, version: KeptVersion, before: KeptVersion[]): Promise<void> {
  const kept = [version, ...before].filter(({ damaged }, at) => damaged || at < MOST);
  await database.versions.setItem(id, kept);
}

/** Keeps a job as it is now beside its earlier versions, unless it is as the latest of them. */
export async function keepVersion(job: Job, now: number): Promise<void> {
  const kept = await keptVersions(job.id);
  const [latest] = kept;
  if (latest && JSON.stringify(latest.job) === JSON.stringify(job)) return;
  await keep(job.id, { at: now, job }, kept);
}

/** Keeps a job that could not be read whole as it was, once. */
export async function keepOriginal(id: string, job: unknown, at: number): Promise<void> {
  const kept = await keptVersions(id);
  const same = JSON.stringify(job);
  if (kept.some((one) => one.damaged && JSON.stringify(one.job) === same)) return;
  await keep(id, { at, job, damaged: true }, kept);
}

/** The files that kept documents name, whatever else is wrong with them. */
export function filesNamedBy(document: unknown): string[] {
  const { art, typefaces } = (document ?? {}) as { art?: unknown; typefaces?: unknown };
  return [art, typefaces].flatMap((part) =>
    typeof part === 'object' && part !== null ? Object.keys(part) : [],
  );
}

/** The art that versions of the jobs there are name; versions of other jobs are forgotten. */
export async function artOfVersions(jobs: ReadonlySet<string>): Promise<Set<string>> {
  const named = new Set<string>();
  for (const id of await database.versions.keys()) {
    if (!jobs.has(id)) {
      await database.versions.removeItem(id);
      continue;
    }
    for (const { job } of await keptVersions(id))
      filesNamedBy(job).forEach((file) => named.add(file));
  }
  return named;
}
