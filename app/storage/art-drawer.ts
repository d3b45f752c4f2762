import * as z from 'zod';
import { artSchema, type Art } from '../../core/art/index.ts';
import { artOfJob, withArtReplacedInAll, type Job } from '../../core/job/index.ts';
import { database } from './database.ts';
import { allJobs, artBytes, changeJob, keepArt } from './jobs.ts';

/** A picture in the drawer. */
export interface DrawerArt {
  readonly art: Art;
  /** When it was put there, in milliseconds since 1970. */
  readonly added: number;
  /** Of its file. */
  readonly bytes: number;
}

/** A picture in the drawer with the jobs that it is used in. */
export interface UsedArt extends DrawerArt {
  readonly jobs: readonly { readonly id: string; readonly name: string }[];
}

const entrySchema = z.object({ art: artSchema, added: z.number(), bytes: z.number() });

/** Keeps art with its bytes in the drawer; what is there already keeps its name, tags and note. */
export async function keepInDrawer(
  { art, bytes }: { art: Art; bytes: Uint8Array },
  now: number,
): Promise<void> {
  await keepArt(art.id, bytes, now);
  const known = await database.drawer.getItem<DrawerArt>(art.id);
  if (!known)
    await database.drawer.setItem<DrawerArt>(art.id, { art, added: now, bytes: bytes.length });
}

/** Everything that was put into the drawer, as it can be read. */
export async function drawerEntries(): Promise<DrawerArt[]> {
  const found: DrawerArt[] = [];
  await database.drawer.iterate<unknown, undefined>((kept) => {
    const read = entrySchema.safeParse(kept);
    if (read.success) found.push(read.data);
    return undefined;
  });
  return found;
}

/** Every picture of the workshop: those of the drawer, and those that only a job has. */
export async function allArt(): Promise<UsedArt[]> {
  const { jobs } = await allJobs();
  const entries = new Map((await drawerEntries()).map((entry) => [entry.art.id, entry]));
  for (const { job, changed } of jobs) {
    for (const id of artOfJob(job)) {
      const art = job.art[id];
      if (!art || entries.has(id) || art.made?.recipe.kind === 'spread') continue;
      const bytes = (await artBytes(id))?.length ?? 0;
      entries.set(id, { art, added: changed, bytes });
    }
  }
  return [...entries.values()].map((entry) => ({
    ...entry,
    jobs: jobs
      .filter(({ job }) => artOfJob(job).includes(entry.art.id))
      .map(({ job: { id, name } }) => ({ id, name })),
  }));
}

/** What became of a change of several jobs: in how many it is, and which are open in a tab. */
export interface ChangedJobs {
  readonly count: number;
  readonly open: readonly string[];
}

async function changeJobs(
  is: (job: Job) => boolean,
  change: (job: Job) => Job,
  now: number,
): Promise<ChangedJobs> {
  const { jobs } = await allJobs();
  const meant = jobs.filter(({ job }) => is(job));
  const open: string[] = [];
  for (const { job } of meant) if (!(await changeJob(job.id, change, now))) open.push(job.name);
  return { count: meant.length - open.length, open };
}

/** Another name, other tags or another note for art, in the drawer and in every job that has it. */
export async function changeArt(art: Art, now: number): Promise<ChangedJobs> {
  const known = await database.drawer.getItem<DrawerArt>(art.id);
  const bytes = known?.bytes ?? (await artBytes(art.id))?.length ?? 0;
  await database.drawer.setItem<DrawerArt>(art.id, { art, added: known?.added ?? now, bytes });
  return changeJobs(
    (job) => art.id in job.art,
    (job) => ({ ...job, art: { ...job.art, [art.id]: art } }),
    now,
  );
}

/** Puts other art in the place of one in every job that no tab has open. */
export async function replaceArtEverywhere(
  from: string,
  to: Art,
  now: number,
): Promise<ChangedJobs> {
  return changeJobs(
    (job) => artOfJob(job).includes(from),
    (job) => withArtReplacedInAll(job, from, to),
    now,
  );
}

/** Takes art out of the drawer; its bytes stay until the next sweep, so that it can be put back. */
export async function takeOutOfDrawer(id: string): Promise<void> {
  await database.drawer.removeItem(id);
}

/** Puts art back that was taken out. */
export async function putBackInDrawer({ art, added, bytes }: DrawerArt): Promise<void> {
  await database.drawer.setItem<DrawerArt>(art.id, { art, added, bytes });
}

/** Puts the entries of a backup back; what cannot be read takes no other along. */
export async function restoreDrawer(kept: unknown): Promise<void> {
  for (const entry of Array.isArray(kept) ? kept : []) {
    const read = entrySchema.safeParse(entry);
    if (read.success) await putBackInDrawer(read.data);
  }
}
