import 'fake-indexeddb/auto';
import { contentHash } from '../../core/base/index.ts';
import { firstStock } from '../../core/stock/index.ts';
import { createJob, type Job } from '../../core/job/index.ts';

// The real library on a database in memory.
Object.assign(globalThis, { self: globalThis });
// The sweep asks for the browser's lock; alone, it always gets it.
Object.defineProperty(globalThis, 'navigator', {
  configurable: true,
  value: {
    userAgent: '',
    platform: '',
    appVersion: '',
    locks: {
      request: (_: string, __: object, run: (lock: object) => unknown) => Promise.resolve(run({})),
    },
  },
});

const { database, isFull } = await import('./database.ts');
const store = await import('./jobs.ts');
const { forgetOwnSheet, keepOwnSheet, ownSheets } = await import('./own-sheets.ts');
const { sweep, backUp, restore, removeDemo } = await import('./workshop.ts');

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
  expect(unread).toBe(0);
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

test('a deleted job is put back whole', async () => {
  await store.keepJob(jobOf('a'), 1);
  await store.deleteJob('a');
  expect((await store.allJobs()).jobs).toEqual([]);
  await store.putJobBack('a');
  expect((await store.allJobs()).jobs[0]?.job).toEqual(jobOf('a'));
  await store.putJobBack('a');
  expect((await store.allJobs()).jobs).toHaveLength(1);
});

test('a job that cannot be read is counted and does not hide the others', async () => {
  await store.keepJob(jobOf('a'), 1);
  await database.jobs.setItem('broken', {
    job: { version: 99, name: 'Later' },
    changed: 2,
    isDemo: false,
  });
  const { jobs, unread } = await store.allJobs();
  expect([jobs.length, unread]).toEqual([1, 1]);
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
    worstDeviation: 0.1,
  };
  await store.keepRun(run);
  const file = await backUp();
  await empty();
  expect(await restore(file, 'backup.zip', 50)).toEqual({ jobs: 2, damaged: 0 });
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

test('measured sheets are kept, replaced by name, forgotten, and travel with a backup', async () => {
  const sheet = { ...firstStock(true), id: 'own-rounds', name: 'Rounds' };
  await keepOwnSheet(sheet);
  await keepOwnSheet({ ...sheet, id: 'own-tags', name: 'Tags' });
  await keepOwnSheet({ ...sheet, name: 'Rounds again' });
  expect((await ownSheets()).map(({ name }) => name)).toEqual(['Rounds again', 'Tags']);
  const file = await backUp();
  await empty();
  expect(await ownSheets()).toEqual([]);
  await restore(file, 'backup.zip', 1);
  expect((await ownSheets()).map(({ id }) => id).sort()).toEqual(['own-rounds', 'own-tags']);
  expect((await forgetOwnSheet('own-tags')).map(({ id }) => id)).toEqual(['own-rounds']);
  await database.workshop.setItem('own-sheets', [{ broken: true }, sheet]);
  expect(await ownSheets()).toHaveLength(1);
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
