import {
  ok,
  ProblemError,
  type JobPlace,
  type Problem,
  type Result,
} from '../../core/base/index.ts';
import { jobWithArt, mendJob, tryJob, type Job, type JobWithArt } from '../../core/job/index.ts';
import { runRecordSchema, type RunRecord } from '../../core/run/index.ts';
import { database } from './database.ts';
import { keepOriginal } from './versions.ts';
import { asWriter } from './writer-lock.ts';

/** A job on the shelf. */
export interface KeptJob {
  readonly job: Job;
  /** Milliseconds since 1970. */
  readonly changed: number;
  readonly isDemo: boolean;
  /** What of it could not be read, in words; its versions have it as it was. */
  readonly leftOut?: readonly JobPlace[];
}

/** A job on the shelf of which nothing can be read. */
export interface UnreadJob {
  readonly id: string;
  readonly name: string;
  readonly problem: Problem;
}

/** Nothing is kept that could not be read again. */
function check(job: Job): void {
  const problem = tryJob(job);
  if (problem) throw new ProblemError(problem);
}

/** Jobs as this page has last read or kept them: what has not changed since need not be checked again. */
const checked = new Map<string, KeptJob>();

async function keepChecked(kept: KeptJob): Promise<void> {
  await database.jobs.setItem<KeptJob>(kept.job.id, kept);
  checked.set(kept.job.id, kept);
}

/** Keeps the value of a job. */
export async function keepJob(job: Job, now: number): Promise<void> {
  check(job);
  const before = await database.jobs.getItem<KeptJob>(job.id);
  await keepChecked({ job, changed: now, isDemo: before?.isDemo ?? false });
}

/** Brings in a job with its art: bytes are written before the job that names them. */
export async function keepJobWithArt(
  { job, art }: JobWithArt,
  now: number,
  isDemo = false,
): Promise<void> {
  check(job);
  for (const [id, bytes] of art) await keepArt(id, bytes, now);
  await keepChecked({ job, changed: now, isDemo });
}

/** What is kept under the id of a job, whatever it is. */
interface Kept {
  readonly job?: unknown;
  readonly changed?: unknown;
  readonly isDemo?: unknown;
}

const nameOf = ({ job }: Kept, id: string): string => {
  const { name } = (job ?? {}) as { name?: unknown };
  return typeof name === 'string' && name ? name : id;
};

/**
 * A kept job, read through the versions' chain and as far as it can be; undefined when there is none of
 * that id. What of it cannot be read is kept beside as it was.
 */
export async function findJob(id: string): Promise<Result<KeptJob> | undefined> {
  const kept = await database.jobs.getItem<Kept>(id);
  if (!kept) return undefined;
  const known = checked.get(id);
  if (known && known.changed === kept.changed) return ok(known);
  const read = mendJob(kept.job, { kind: 'job', name: nameOf(kept, id) });
  if (!read.ok) return read;
  const { job, leftOut } = read.value;
  const changed = typeof kept.changed === 'number' ? kept.changed : 0;
  const found = { job: { ...job, id }, changed, isDemo: kept.isDemo === true };
  if (leftOut.length === 0) {
    checked.set(id, found);
    return ok(found);
  }
  await keepOriginal(id, kept.job, changed);
  return ok({ ...found, leftOut });
}

/** All jobs, the latest change first, and those of which nothing can be read. */
export async function allJobs(): Promise<{ jobs: KeptJob[]; unread: UnreadJob[] }> {
  const jobs: KeptJob[] = [];
  const unread: UnreadJob[] = [];
  const ids = await database.jobs.keys();
  const found = await Promise.all(ids.map(findJob));
  for (const [at, read] of found.entries()) {
    const id = ids[at] ?? '';
    if (read?.ok) jobs.push(read.value);
    else if (read) {
      const kept = (await database.jobs.getItem<Kept>(id)) ?? {};
      unread.push({ id, name: nameOf(kept, id), problem: read.problem });
    }
  }
  return { jobs: jobs.sort((one, other) => other.changed - one.changed), unread };
}

/** What is kept of a job, as it is; undefined when there is none of that id. */
export async function originalOf(id: string): Promise<unknown> {
  return (await database.jobs.getItem<Kept>(id))?.job;
}

/** Changes a kept job; false where it is open in a tab, which would write over it. */
export async function changeJob(
  id: string,
  change: (job: Job) => Job,
  now: number,
): Promise<boolean> {
  return asWriter(id, async () => {
    const kept = await findJob(id);
    if (kept?.ok) await keepJob(change(kept.value.job), now);
  });
}

/**
 * Takes a job from the shelf; it can be put back until the shelf is next opened. False where it is open
 * in a tab.
 */
export async function deleteJob(id: string): Promise<boolean> {
  return asWriter(id, async () => {
    const kept = await database.jobs.getItem<Kept>(id);
    if (!kept) return;
    await database.trash.setItem(id, kept);
    await database.jobs.removeItem(id);
  });
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
