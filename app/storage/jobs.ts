import { good, type Result } from '../../core/base/index.ts';
import { jobWithArt, parseJob, type Job, type JobWithArt } from '../../core/job/index.ts';
import { runRecordSchema, type RunRecord } from '../../core/run/index.ts';
import { database } from './database.ts';

/** A job on the shelf. */
export interface KeptJob {
  readonly job: Job;
  /** Milliseconds since 1970. */
  readonly changed: number;
  readonly isDemo: boolean;
}

/** Keeps the value of a job. */
export async function keepJob(job: Job, now: number): Promise<void> {
  const before = await database.jobs.getItem<KeptJob>(job.id);
  await database.jobs.setItem<KeptJob>(job.id, {
    job,
    changed: now,
    isDemo: before?.isDemo ?? false,
  });
}

/** Brings in a job with its art: bytes are written before the job that names them. */
export async function keepJobWithArt(
  { job, art }: JobWithArt,
  now: number,
  isDemo = false,
): Promise<void> {
  for (const [id, bytes] of art) await keepArt(id, bytes, now);
  await database.jobs.setItem<KeptJob>(job.id, { job, changed: now, isDemo });
}

/** A kept job, read through the versions' chain; undefined when there is none of that id. */
export async function findJob(id: string): Promise<Result<KeptJob> | undefined> {
  const kept = await database.jobs.getItem<KeptJob>(id);
  if (!kept) return undefined;
  const job = parseJob(kept.job, `The job “${kept.job.name}”`);
  return job.ok ? good({ ...kept, job: job.value }) : job;
}

/** All jobs that can be read, the latest change first, and how many cannot. */
export async function allJobs(): Promise<{ jobs: KeptJob[]; unread: number }> {
  const ids = await database.jobs.keys();
  const read = await Promise.all(ids.map(findJob));
  const jobs = read.flatMap((one) => (one?.ok ? [one.value] : []));
  return {
    jobs: jobs.sort((one, other) => other.changed - one.changed),
    unread: read.length - jobs.length,
  };
}

/** Takes a job from the shelf; it can be put back until the shelf is next opened. */
export async function deleteJob(id: string): Promise<void> {
  const kept = await database.jobs.getItem<KeptJob>(id);
  if (!kept) return;
  await database.trash.setItem(id, kept);
  await database.jobs.removeItem(id);
}

/** Puts a deleted job back. */
export async function putJobBack(id: string): Promise<void> {
  const kept = await database.trash.getItem<KeptJob>(id);
  if (!kept) return;
  await database.jobs.setItem(id, kept);
  await database.trash.removeItem(id);
}

/** Bytes of art and when they were kept, in milliseconds since 1970. */
export interface KeptArt {
  readonly bytes: Uint8Array;
  readonly kept: number;
}

/** The bytes of art by its hash. */
export async function artBytes(id: string): Promise<Uint8Array | undefined> {
  return (await database.art.getItem<KeptArt>(id))?.bytes;
}

/** Keeps the bytes of art under its hash. */
export async function keepArt(id: string, bytes: Uint8Array, now: number): Promise<void> {
  await database.art.setItem<KeptArt>(id, { bytes, kept: now });
}

/** A job with all of its art and typefaces that are there. */
export const withArt = (job: Job): Promise<JobWithArt> => jobWithArt(job, artBytes);

/** Remembers a run. */
export async function keepRun(run: RunRecord): Promise<void> {
  await database.runs.setItem(run.id, run);
}

/** All runs, the latest first; what cannot be read is passed over. */
export async function allRuns(): Promise<RunRecord[]> {
  const runs: RunRecord[] = [];
  await database.runs.iterate<unknown, undefined>((kept) => {
    const run = runRecordSchema.safeParse(kept);
    if (run.success) runs.push(run.data);
    return undefined;
  });
  return runs.sort((one, other) => (one.at < other.at ? 1 : -1));
}

/** Takes a run out of the ledger. */
export async function forgetRun(id: string): Promise<void> {
  await database.runs.removeItem(id);
}
