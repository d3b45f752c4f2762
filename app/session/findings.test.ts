import { readFileSync } from 'node:fs';
import { createPinia, setActivePinia } from 'pinia';
import { parseJob, type Job } from '../../core/job/index.ts';
import { findingKey, type FindingCode } from '../../core/proof/index.ts';
import { expectOk } from '../../core/base/index.ts';
import { plain, words } from '../../core/testing/proof-jobs.ts';
import { answerCallsHere } from '../testing/page-globals.ts';

await answerCallsHere();
const { useJobStore } = await import('./job-store.ts');
const { findJob, keepJob } = await import('../storage/index.ts');

type Store = ReturnType<typeof useJobStore>;

/** A job in the store, with what the proof says of it. */
async function proofed(job: Job): Promise<Store> {
  setActivePinia(createPinia());
  await keepJob(job, 1);
  const store = useJobStore();
  await store.open(job.id);
  await quiet(store);
  return store;
}

/** Waits until the proof has said what it has to say of the job as it is now. */
async function quiet(store: Store): Promise<void> {
  await new Promise((go) => setTimeout(go, 50));
  for (let waited = 0; store.findings.looking && waited < 200; waited++)
    await new Promise((go) => setTimeout(go, 50));
  expect(store.findings.looking).toBe(false);
}

const codes = (store: Store): FindingCode[] => store.findings.list.map(({ code }) => code);
const small = (id: string): Job => ({ ...plain(words({ size: 5 })), id });

afterEach(async () => {
  const store = useJobStore();
  await store.flush();
  store.close();
});

test('findings follow the job: a fix takes its own away, undo brings it back', async () => {
  const store = await proofed(small('fixed'));
  const found = store.findings.list.find(({ code }) => code === 'words-too-small');
  if (!found?.fix) throw new Error('no fix');
  store.act(found.fix.call);
  await quiet(store);
  expect(codes(store)).not.toContain('words-too-small');
  store.undo();
  await quiet(store);
  expect(codes(store)).toContain('words-too-small');
});

test('what is accepted stands apart with its note, and after a visit later too', async () => {
  const store = await proofed(small('taken'));
  const found = store.findings.list.find(({ code }) => code === 'words-too-small');
  if (!found) throw new Error('nothing found');
  const args = { key: findingKey(found), values: found.values, note: 'fine print' };
  store.act({ name: 'accept-finding', args });
  await quiet(store);
  expect(codes(store)).not.toContain('words-too-small');
  expect(store.findings.accepted.map(({ accepted }) => accepted)).toEqual(['fine print']);
  await store.flush();
  await store.open('taken');
  await quiet(store);
  expect(store.findings.accepted.map(({ code }) => code)).toEqual(['words-too-small']);
});

test('an acceptance that an earlier version kept by its sentence is kept by its values, without a step', async () => {
  const old: unknown = JSON.parse(readFileSync('core/job/examples/version-11.json', 'utf8'));
  const job = { ...expectOk(parseJob(old)), id: 'old' };
  const store = await proofed(job);
  await quiet(store);
  expect(store.findings.accepted.map(({ accepted }) => accepted)).toEqual(['fine print']);
  expect([store.past, store.future]).toEqual([[], []]);
  await store.flush();
  const kept = await findJob('old');
  const accepted = kept?.ok ? kept.value.job.accepted : undefined;
  expect(accepted?.['words-too-small|piece-1|words-1||']).toEqual({
    values: { words: 'Sea Holly', size: 5, least: 6 },
    note: 'fine print',
  });
  // One that nothing is found for now waits, by its sentence.
  expect(accepted?.['low-contrast|piece-1|words-1||']).toMatchObject({ note: 'meant so' });
});

test('answers about a job that is not open any more are dropped', async () => {
  setActivePinia(createPinia());
  await keepJob(small('first'), 1);
  await keepJob({ ...plain(), id: 'second' }, 1);
  const store = useJobStore();
  await store.open('first');
  await new Promise((go) => setTimeout(go, 5));
  await store.open('second');
  expect(store.findings.list).toEqual([]);
  await quiet(store);
  expect(codes(store)).not.toContain('words-too-small');
});
