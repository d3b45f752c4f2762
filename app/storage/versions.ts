import { filesOf, parseJob, type Job } from '../../core/job/index.ts';
import { database } from './database.ts';

/** A job as it once was. */
export interface JobVersion {
  /** Milliseconds since 1970. */
  readonly at: number;
  readonly job: Job;
}

const MOST = 20;

/** The versions of a job that can be read, the latest first. */
export async function versionsOf(id: string): Promise<JobVersion[]> {
  const kept = (await database.versions.getItem<JobVersion[]>(id)) ?? [];
  return kept.flatMap(({ at, job }) => {
    const read = parseJob(job);
    return read.ok ? [{ at, job: read.value }] : [];
  });
}

/** Keeps a job as it is now beside its earlier versions, unless it is as the latest of them. */
export async function keepVersion(job: Job, now: number): Promise<void> {
  const kept = (await database.versions.getItem<JobVersion[]>(job.id)) ?? [];
  const [latest] = kept;
  if (latest && JSON.stringify(latest.job) === JSON.stringify(job)) return;
  await database.versions.setItem(job.id, [{ at: now, job }, ...kept].slice(0, MOST));
}

/** The art that versions of the jobs there are name; versions of other jobs are forgotten. */
export async function artOfVersions(jobs: ReadonlySet<string>): Promise<Set<string>> {
  const named = new Set<string>();
  for (const id of await database.versions.keys()) {
    if (!jobs.has(id)) {
      await database.versions.removeItem(id);
      continue;
    }
    for (const { job } of (await database.versions.getItem<JobVersion[]>(id)) ?? [])
      filesOf(job).forEach((file) => named.add(file));
  }
  return named;
}
