import { contentHash } from '../../core/base/index.ts';
import { createJob, type Job } from '../../core/job/index.ts';
import { openElsewhere } from '../testing/page-globals.ts';

const { database, isFull } = await import('./database.ts');
const store = await import('./jobs.ts');
const { sweep, backUp, restore, removeDemo } = await import('./workshop.ts');
const drawer = await import('./art-drawer.ts');
const { keepVersion, versionsOf } = await import('./versions.ts');
const { houseStyle, keepHouseStyle } = await import('./house-style.ts');

const DAY = 24 * 60 * 60 * 1000;
const HASH = (letter: string): string => letter.repeat(64);
const jobOf = (id: string, art?: string): Job => {
  const job = { ...createJob('lid', { id, today: '2026-04-18' }), name: `Job ${id}` };
  if (!art) return job;
  const known = {
    id: art,
    name: 'thistle',
    tags: [],
    kind: 'vector' as const,
    width: 20,
    height: 20,
  };
  return { ...job, art: { [art]: known } };
};

const empty = (): Promise<unknown> =>
  Promise.all(Object.values(database).map((part) => part.clear()));
beforeEach(empty);

test('a job is found as it was kept, and the latest change comes first', async () => {
  await store.keepJob(jobOf('a'), 100);
  await store.keepJob(jobOf('b'), 300);
  await store.keepJob(jobOf('c'), 200);
  const { jobs, unread } = await store.allJobs();
  expect(jobs.map(({ job }) => job.id)).toEqual(['b', 'c', 'a']);
  expect(unread).toEqual([]);
  const found = await store.findJob('a');
  expect(found?.ok && found.value.job).toEqual(jobOf('a'));
  expect(await store.findJob('z')).toBeUndefined();
});

test('a sample stays a sample when it is changed', async () => {
  await store.keepJobWithArt({ job: jobOf('a'), art: new Map() }, 1, true);
  await store.keepJob({ ...jobOf('a'), name: 'Changed' }, 2);
  expect((await store.allJobs()).jobs[0]).toMatchObject({ isDemo: true, changed: 2 });
  await store.keepJob(jobOf('own'), 3);
  await removeDemo();
  expect((await store.allJobs()).jobs.map(({ job }) => job.id)).toEqual(['own']);
});

test('a job that is as it was is not checked anew; what another tab has kept since is read', async () => {
  await store.keepJob(jobOf('a'), 1);
  const found = async () => {
    const read = await store.findJob('a');
    return read?.ok ? read.value : undefined;
  };
  const known = await found();
  expect(known?.job).toEqual(jobOf('a'));
  expect(await found()).toBe(known);
  const elsewhere = { ...jobOf('a'), name: 'Elsewhere' };
  await database.jobs.setItem('a', { job: elsewhere, changed: 2, isDemo: true });
  expect(await found()).toMatchObject({ job: { name: 'Elsewhere' }, changed: 2, isDemo: true });
  await database.jobs.setItem('a', { job: { ...elsewhere, today: 'soon' }, changed: 3 });
  expect((await found())?.leftOut).toContainEqual([{ of: 'part', name: 'today' }]);
});

test('a deleted job is put back whole', async () => {
  await store.keepJob(jobOf('a'), 1);
  await store.deleteJob('a');
  expect((await store.allJobs()).jobs).toEqual([]);
  await store.putJobBack('a');
  expect((await store.allJobs()).jobs[0]?.job).toEqual(jobOf('a'));
  await store.putJobBack('a');
  expect((await store.allJobs()).jobs).toHaveLength(1);
});

test('a job with a damaged part opens without it, and stands in its versions as it was', async () => {
  const damaged = { ...jobOf('a'), plan: { ...jobOf('a').plan, gap: 'wide' }, today: 'tomorrow' };
  await database.jobs.setItem('a', { job: damaged, changed: 5, isDemo: true });
  for (const visit of [1, 2]) {
    const { jobs, unread } = await store.allJobs();
    expect([visit, jobs.length, unread.length]).toEqual([visit, 1, 0]);
    expect(jobs[0]).toMatchObject({ isDemo: true, changed: 5 });
    expect(jobs[0]?.leftOut).toContainEqual([{ of: 'part', name: 'today' }]);
    expect(jobs[0]?.job.pieces).toEqual(jobOf('a').pieces);
  }
  for (let at = 1; at < 30; at++) await keepVersion({ ...jobOf('a'), name: `No. ${at}` }, at);
  const versions = await versionsOf('a');
  expect(versions.filter(({ leftOut }) => leftOut.length)).toMatchObject([{ original: damaged }]);
});

test('what could not be read again is not kept', async () => {
  await store.keepJob(jobOf('a'), 1);
  const far = { ...jobOf('a'), plan: { ...jobOf('a').plan, gap: 5000 } };
  await expect(store.keepJob(far, 2)).rejects.toThrow('too-large');
  await expect(store.keepJobWithArt({ job: far, art: new Map() }, 2)).rejects.toThrow('gap');
  expect((await store.allJobs()).jobs).toMatchObject([{ changed: 1 }]);
});

test('a job that a tab has open is left to that tab', async () => {
  await store.keepJob(jobOf('a', HASH('a')), 1);
  await store.keepJob(jobOf('b', HASH('a')), 1);
  const [art] = Object.values(jobOf('a', HASH('a')).art);
  if (!art) throw new Error('no art');
  openElsewhere.add('a');
  try {
    expect(await drawer.changeArt({ ...art, name: 'teasel' }, 2)).toEqual({
      count: 1,
      open: ['Job a'],
    });
    expect(await store.deleteJob('a')).toBe(false);
  } finally {
    openElsewhere.clear();
  }
  const names = (await store.allJobs()).jobs.map(({ job }) => job.art[HASH('a')]?.name);
  expect(names).toEqual(['teasel', 'thistle']);
});

test('a job that cannot be read is counted and does not hide the others', async () => {
  await store.keepJob(jobOf('a'), 1);
  await database.jobs.setItem('broken', {
    job: { version: 99, name: 'Later' },
    changed: 2,
    isDemo: false,
  });
  const { jobs, unread } = await store.allJobs();
  expect(jobs).toHaveLength(1);
  expect(unread).toMatchObject([{ id: 'broken', name: 'Later', problem: { code: 'job/newer' } }]);
  expect((await store.findJob('broken'))?.ok).toBe(false);
  expect(await database.jobs.keys()).toContain('broken');
});

test('art is kept once by its hash, and swept only when nothing names it and a day has passed', async () => {
  const [named, young, old] = [HASH('a'), HASH('b'), HASH('c')];
  const bytes = new Uint8Array([1, 2, 3]);
  await store.keepJobWithArt({ job: jobOf('a', named), art: new Map([[named, bytes]]) }, 0);
  await store.keepArt(young, bytes, 10 * DAY - 5);
  await store.keepArt(old, bytes, 0);
  await sweep(10 * DAY);
  expect((await database.art.keys()).sort()).toEqual([named, young]);
  expect(await store.artBytes(named)).toEqual(bytes);
});

test('the sweep empties the trash', async () => {
  await store.keepJob(jobOf('a'), 1);
  await store.deleteJob('a');
  await sweep(2);
  await store.putJobBack('a');
  expect((await store.allJobs()).jobs).toEqual([]);
});

test('a backup brings jobs, art, runs and samples into an empty workshop', async () => {
  const bytes = new Uint8Array([9]);
  const art = contentHash(bytes);
  await store.keepJobWithArt({ job: jobOf('a', art), art: new Map([[art, bytes]]) }, 1, true);
  await store.keepJob(jobOf('b'), 2);
  const run = {
    id: 'r1',
    job: 'b',
    at: '2026-04-18T10:00:00Z',
    sheets: 1,
    copies: 12,
  };
  await store.keepRun(run);
  const file = await backUp();
  await empty();
  expect(await restore(file, 'backup.zip', 50)).toEqual({ jobs: 2, damaged: 0, open: [] });
  const { jobs } = await store.allJobs();
  expect(jobs.map(({ job, isDemo }) => [job.id, isDemo]).sort()).toEqual([
    ['a', true],
    ['b', false],
  ]);
  expect(await store.artBytes(art)).toEqual(bytes);
  expect(await store.allRuns()).toEqual([run]);
});

test('a backup that is none is refused and nothing here changes', async () => {
  await store.keepJob(jobOf('a'), 1);
  await expect(restore(new Uint8Array([1, 2, 3]), 'notes.txt', 5)).rejects.toThrow('notes.txt');
  expect((await store.allJobs()).jobs).toHaveLength(1);
});

test('runs come the latest first', async () => {
  const run = (id: string, at: string) => ({
    id,
    job: 'a',
    at,
    sheets: 1,
    copies: 1,
    worstDeviation: 0,
  });
  for (const one of [run('1', '2026-04-01'), run('2', '2026-05-01'), run('3', '2026-03-01')])
    await store.keepRun(one);
  expect((await store.allRuns()).map(({ id }) => id)).toEqual(['2', '1', '3']);
});

test('the browser’s ways of saying that it is full are understood, other errors are not', () => {
  expect(isFull(new DOMException('x', 'QuotaExceededError'))).toBe(true);
  expect(isFull(new Error('The disk is full'))).toBe(true);
  expect(isFull(new Error('The worker failed to start.'))).toBe(false);
  expect(isFull(undefined)).toBe(false);
});

const leaf = new TextEncoder().encode('<svg xmlns="http://www.w3.org/2000/svg"/>');
const leafArt = (bytes = leaf, name = 'Leaf') => ({
  kind: 'vector' as const,
  id: contentHash(bytes),
  name,
  tags: ['plants'],
  width: 20,
  height: 20,
});
/** A job with a picture element of some art. */
function using(id: string, art: ReturnType<typeof leafArt>): Job {
  const job = createJob('lid', { id, today: '2026-04-18' });
  const [piece] = job.pieces;
  if (!piece) throw new Error('no piece');
  const picture = {
    id: 'picture-1',
    kind: 'picture' as const,
    art: art.id,
    x: 0,
    y: 0,
    angle: 0,
    locked: false,
    width: 20,
    height: 20,
    fit: 'contain' as const,
  };
  return {
    ...job,
    name: `Job ${id}`,
    pieces: [{ ...piece, elements: [picture] }],
    art: { [art.id]: art },
  };
}

test('the drawer has each picture once, with the jobs that use it', async () => {
  await drawer.keepInDrawer({ art: leafArt(), bytes: leaf }, 100);
  await drawer.keepInDrawer({ art: leafArt(leaf, 'The same again'), bytes: leaf }, 200);
  const other = new TextEncoder().encode('<svg/>');
  await store.keepJobWithArt(
    { job: using('a', leafArt()), art: new Map([[leafArt().id, leaf]]) },
    1,
  );
  await store.keepJobWithArt(
    {
      job: using('b', leafArt(other, 'Only in a job')),
      art: new Map([[contentHash(other), other]]),
    },
    1,
  );
  const found = await drawer.allArt();
  expect(found.map(({ art, bytes, jobs }) => [art.name, bytes, jobs.map(({ id }) => id)])).toEqual([
    ['Leaf', leaf.length, ['a']],
    ['Only in a job', 6, ['b']],
  ]);
});

test('a name, tags and a note are changed in the drawer and in every job', async () => {
  await drawer.keepInDrawer({ art: leafArt(), bytes: leaf }, 100);
  await store.keepJob(using('a', leafArt()), 1);
  await drawer.changeArt({ ...leafArt(), name: 'Lime', tags: ['trees'], licence: 'private' }, 300);
  const job = (await store.allJobs()).jobs[0]?.job;
  expect(job?.art[leafArt().id]).toMatchObject({ name: 'Lime', licence: 'private' });
  expect((await drawer.allArt())[0]).toMatchObject({ art: { tags: ['trees'] }, added: 100 });
});

test('a picture is replaced in every job that shows it, and in no other', async () => {
  const better = new TextEncoder().encode('<svg id="better"/>');
  await store.keepJob(using('a', leafArt()), 1);
  await store.keepJob(using('b', leafArt()), 2);
  await store.keepJob(jobOf('c'), 3);
  expect(await drawer.replaceArtEverywhere(leafArt().id, leafArt(better), 9)).toEqual({
    count: 2,
    open: [],
  });
  const { jobs } = await store.allJobs();
  expect(jobs.map(({ job }) => Object.keys(job.art))).toEqual([
    [contentHash(better)],
    [contentHash(better)],
    [],
  ]);
});

test('what is in the drawer is not swept, is put back when it was taken out, and travels with a backup', async () => {
  await drawer.keepInDrawer({ art: leafArt(), bytes: leaf }, 100);
  await sweep(100 + 3 * DAY);
  expect(await store.artBytes(leafArt().id)).toEqual(leaf);
  const [entry] = await drawer.allArt();
  if (!entry) throw new Error('no entry');
  await drawer.takeOutOfDrawer(entry.art.id);
  expect(await drawer.allArt()).toEqual([]);
  await drawer.putBackInDrawer(entry);
  const bytes = await backUp();
  await empty();
  await restore(bytes, 'all.zip', 500);
  expect((await drawer.allArt()).map(({ art }) => art.name)).toEqual(['Leaf']);
  expect(await store.artBytes(leafArt().id)).toEqual(leaf);
});

test('versions are kept once, the latest first, and not without end', async () => {
  const job = jobOf('versions');
  await keepVersion(job, 1);
  await keepVersion(job, 2);
  expect((await versionsOf('versions')).map(({ at }) => at)).toEqual([1]);
  for (let at = 3; at < 40; at++) await keepVersion({ ...job, name: `Name ${at}` }, at);
  const kept = await versionsOf('versions');
  expect(kept).toHaveLength(20);
  expect(kept[0]).toMatchObject({ at: 39, job: { name: 'Name 39' } });
});

test('art that only an earlier version names is not swept, until its job is gone', async () => {
  const art = HASH('7');
  const old = Date.now() - 3 * DAY;
  await store.keepArt(art, new Uint8Array([1]), old);
  await store.keepJob(jobOf('once'), old);
  await keepVersion(jobOf('once', art), old);
  await sweep(Date.now());
  expect(await store.artBytes(art)).toBeDefined();
  await store.deleteJob('once');
  await sweep(Date.now());
  expect(await store.artBytes(art)).toBeUndefined();
  expect(await versionsOf('once')).toEqual([]);
});

test('the house style is kept, travels in a backup, and one that is there stays', async () => {
  const style = { ...(await houseStyle()), maker: 'Thistle & Fen', smallPrint: 'Keep dry.' };
  await keepHouseStyle(style);
  const file = await backUp();
  await database.workshop.removeItem('house-style');
  await restore(file, 'x.backup', Date.now());
  expect(await houseStyle()).toEqual(style);
  await keepHouseStyle({ ...style, maker: 'Other' });
  await restore(file, 'x.backup', Date.now());
  expect((await houseStyle()).maker).toBe('Other');
});
