import { expectOk } from '../../core/base/index.ts';
import { runRecordSchema } from '../../core/run/index.ts';
import {
  isDesign,
  parseBackup,
  parsePeel,
  writeBackup,
  type JobWithArt,
} from '../../core/job/index.ts';
import { confirmedAddresses } from './confirmed-addresses.ts';
import { database } from './database.ts';
import { drawerEntries, restoreDrawer } from './art-drawer.ts';
import {
  allJobs,
  allRuns,
  artBytes,
  keepArt,
  keepJobWithArt,
  keepRun,
  withArt,
  type KeptArt,
} from './jobs.ts';
import { NO_HOUSE_STYLE } from '../../core/designs/index.ts';
import { houseStyle, keepHouseStyle, readHouseStyle } from './house-style.ts';
import { keepOwnTypefaces, ownTypefaces, readOwnTypefaces } from './own-typefaces.ts';
import { filesOfDesigns, keepDesign, ownDesigns } from './designs.ts';
import { artOfVersions, filesNamedBy } from './versions.ts';
import { asWriter } from './writer-lock.ts';
import { keepStockRoom, mergedStockRoom, readStockRoom, stockRoom } from './stock-room.ts';

const DEMO_SHOWN = 'demo-shown';

/** Brings in the demo workshop on the first visit; says whether this was one. */
export async function welcome(now: number): Promise<boolean> {
  if (await database.workshop.getItem(DEMO_SHOWN)) return false;
  await bringDemo(now);
  await database.workshop.setItem(DEMO_SHOWN, true);
  return true;
}

/** Puts the demo jobs on the shelf. */
export async function bringDemo(now: number): Promise<void> {
  const names = (await (await fetch('/demo/index.json')).json()) as string[];
  for (const [index, name] of names.entries()) {
    const bytes = new Uint8Array(await (await fetch(`/demo/${name}`)).arrayBuffer());
    const whole = expectOk(parsePeel(bytes, name));
    await asWriter(whole.job.id, () => keepJobWithArt(whole, now - index, true));
  }
}

/** Takes all demo jobs from the shelf for good. */
export async function removeDemo(): Promise<void> {
  const { jobs } = await allJobs();
  for (const { job } of jobs.filter(({ isDemo }) => isDemo))
    await asWriter(job.id, () => database.jobs.removeItem(job.id));
}

const DAY = 24 * 60 * 60 * 1000;

/**
 * Empties the trash, and removes art that neither the drawer nor a job has named for a day. Only at the start, and by one
 * tab at a time: another may be about to name what it has just taken in.
 */
export async function sweep(now: number): Promise<void> {
  const clean = async (): Promise<void> => {
    await database.trash.clear();
    const named = new Set<string>();
    const jobs = new Set<string>();
    await database.jobs.iterate<{ job?: unknown } | null, undefined>((kept, id) => {
      jobs.add(id);
      filesNamedBy(kept?.job).forEach((file) => named.add(file));
      return undefined;
    });
    for (const id of await artOfVersions(jobs)) named.add(id);
    for (const { art } of await drawerEntries()) {
      named.add(art.id);
      if (art.made) named.add(art.made.from);
    }
    for (const { id } of await ownTypefaces()) named.add(id);
    for (const id of await filesOfDesigns()) named.add(id);
    for (const id of await database.art.keys()) {
      const art = named.has(id) ? undefined : await database.art.getItem<KeptArt>(id);
      if (art && now - art.kept > DAY) await database.art.removeItem(id);
    }
  };
  await navigator.locks?.request('little-peel-sweep', { ifAvailable: true }, (lock) =>
    lock ? clean() : undefined,
  );
}

/** Everything of the workshop as one file. */
export async function backUp(): Promise<Uint8Array> {
  const { jobs } = await allJobs();
  const whole: JobWithArt[] = [];
  for (const { job } of jobs) whole.push(await withArt(job));
  for (const design of await ownDesigns()) whole.push(await withArt(design));
  const demo = jobs.filter(({ isDemo }) => isDemo).map(({ job }) => job.id);
  const drawer = await drawerEntries();
  const inJobs = new Set(whole.flatMap(({ art }) => [...art.keys()]));
  const loose = new Map<string, Uint8Array>();
  const typefaces = await ownTypefaces();
  for (const { id } of [...drawer.map(({ art }) => art), ...typefaces]) {
    const bytes = inJobs.has(id) ? undefined : await artBytes(id);
    if (bytes) loose.set(id, bytes);
  }
  const documents = {
    runs: await allRuns(),
    demo,
    stock: await stockRoom(),
    style: await houseStyle(),
    drawer,
    typefaces,
  };
  return writeBackup(whole, documents, loose);
}

/** Puts everything of a backup back beside what is here; jobs of the same id are replaced. */
export async function restore(
  bytes: Uint8Array,
  name: string,
  now: number,
): Promise<{ jobs: number; damaged: number; open: readonly string[] }> {
  const { jobs, documents, damaged, art } = expectOk(parseBackup(bytes, name));
  const demo = new Set(Array.isArray(documents.demo) ? (documents.demo as string[]) : []);
  const open: string[] = [];
  for (const [index, { job, art: own }] of jobs.entries()) {
    if (isDesign(job)) await keepDesign(job, own, now);
    else {
      const put = (): Promise<void> =>
        keepJobWithArt({ job, art: own }, now - index, demo.has(job.id));
      if (!(await asWriter(job.id, put))) open.push(job.name);
    }
  }
  for (const [id, content] of art) await keepArt(id, content, now);
  await restoreDrawer(documents.drawer);
  const here = await ownTypefaces();
  const added = readOwnTypefaces(documents.typefaces).filter(
    ({ id }) => !here.some((one) => one.id === id),
  );
  if (added.length) await keepOwnTypefaces([...here, ...added]);
  // Before addresses come in, so that only those from here count as confirmed.
  await confirmedAddresses();
  const runs = Array.isArray(documents.runs) ? documents.runs : [];
  // Earlier backups have the measured sheets alone.
  const room = readStockRoom(documents.stock ?? { sheets: documents.sheets });
  await keepStockRoom(mergedStockRoom(room, await stockRoom()));
  // What the workshop has of its own stays; an empty style takes that of the backup.
  if ((await houseStyle()) === NO_HOUSE_STYLE && documents.style !== undefined)
    await keepHouseStyle(readHouseStyle(documents.style));
  for (const kept of runs) {
    const run = runRecordSchema.safeParse(kept);
    if (run.success) await keepRun(run.data);
  }
  return { jobs: jobs.length - open.length, damaged: damaged.length, open };
}

/** Asks the browser to keep this workshop for good; asked once, at the first own work. */
export async function askToKeep(): Promise<void> {
  if (await database.workshop.getItem('asked-to-keep')) return;
  await database.workshop.setItem('asked-to-keep', true);
  await navigator.storage?.persist?.();
}
