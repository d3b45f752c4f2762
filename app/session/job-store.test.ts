import { createPinia, setActivePinia } from 'pinia';
import { createJob, type CommandCall, type Job } from '../../core/job/index.ts';
import { exampleWords } from '../../core/testing/example-job.ts';
import { openElsewhere } from '../testing/page-globals.ts';

const { useJobStore } = await import('./job-store.ts');
const { findJob, keepJob } = await import('../storage/index.ts');
const { useMessages } = await import('../ui/messages-store.ts');

const PIECE = 'piece-1';
const bleed = (mm: number): CommandCall => ({
  name: 'set-bleed',
  args: { pieces: [PIECE], bleed: mm },
});
const typed = (text: string): CommandCall => ({
  name: 'change-elements',
  args: { piece: PIECE, changes: { 'words-1': { text } }, doing: 'type' },
});
const textOf = (job: Job | undefined): string | undefined =>
  job?.pieces[0]?.elements.flatMap((one) => (one.kind === 'words' ? [one.text] : []))[0];
const bleedOf = (job: Job | undefined): number | undefined => job?.pieces[0]?.bleed;

let number = 0;
afterEach(async () => {
  const store = useJobStore();
  await store.flush();
  store.close();
});

/** A job with words, open in a tab that may write it unless it is open elsewhere. */
async function opened(mayWrite = true) {
  const id = `job-${++number}`;
  if (!mayWrite) openElsewhere.add(id);
  setActivePinia(createPinia());
  const job = createJob('lid', { id, today: '2026-04-18' });
  await keepJob(job, 1);
  const store = useJobStore();
  await store.open(id);
  if (mayWrite) store.act({ name: 'add-element', args: { piece: PIECE, element: exampleWords() } });
  return store;
}

const stored = async (id: string): Promise<Job | undefined> => {
  const found = await findJob(id);
  return found?.ok ? found.value.job : undefined;
};

test('a gesture is one step, however often it was shown, and undo gives the very value from before', async () => {
  const store = await opened();
  const before = store.job;
  for (const mm of [1, 1.5, 2]) store.preview(bleed(mm));
  expect([bleedOf(store.job), bleedOf(store.committed)]).toEqual([2, bleedOf(before)]);
  store.act(bleed(2.5));
  expect(store.past).toHaveLength(2);
  const after = store.job;
  store.undo();
  expect(store.job).toBe(before);
  store.redo();
  expect(store.job).toBe(after);
});

test('a gesture that is cancelled leaves the job and what is stored as they were', async () => {
  const store = await opened();
  const before = store.job;
  store.preview(bleed(2.5));
  store.cancel();
  expect(store.job).toBe(before);
  expect(store.past).toHaveLength(1);
  await store.flush();
  expect(bleedOf(await stored(before?.id ?? ''))).toBe(bleedOf(before));
});

test('typing that is staged is shown at once, is one step, and is done before anything else', async () => {
  const store = await opened();
  for (const text of ['S', 'Se', 'Sea']) store.stage(typed(text), 'type');
  expect([textOf(store.job), textOf(store.committed)]).toEqual(['Sea', 'Sea Holly']);
  store.act(bleed(2.5));
  expect([textOf(store.committed), bleedOf(store.committed)]).toEqual(['Sea', 2.5]);
  expect(store.past).toHaveLength(3);
  store.undo();
  expect([textOf(store.job), bleedOf(store.job) === 2.5]).toEqual(['Sea', false]);
  store.undo();
  expect(textOf(store.job)).toBe('Sea Holly');
});

test('typing in another field begins another step', async () => {
  const store = await opened();
  store.stage(typed('Sea'), 'type');
  store.stage(bleed(2.5), 'bleed');
  store.commit();
  expect(store.past).toHaveLength(3);
});

test('what a hand is just doing is kept, so that a reload in the middle loses nothing', async () => {
  const store = await opened();
  store.stage(typed('Thrift'), 'type');
  await store.flush();
  expect(textOf(await stored(store.job?.id ?? ''))).toBe('Thrift');
});

test('what is only pointed at is shown and never kept', async () => {
  const store = await opened();
  await store.flush();
  store.previewOnHover(bleed(2.5));
  expect(bleedOf(store.job)).toBe(2.5);
  await store.flush();
  expect(bleedOf(await stored(store.job?.id ?? ''))).not.toBe(2.5);
  store.cancel();
  expect(bleedOf(store.job)).toBe(bleedOf(store.committed));
});

test('a step that is refused says why and leaves no trace', async () => {
  const store = await opened();
  const before = store.job;
  expect(store.act(bleed(-3))).toBe(false);
  expect(store.job).toBe(before);
  expect(store.past).toHaveLength(1);
  expect(useMessages().shown).toMatchObject({ kind: 'problem' });
});

test('a reader changes nothing and is offered to take over', async () => {
  const store = await opened(false);
  expect(store.keepState).toBe('reading');
  const before = store.job;
  expect(store.act(bleed(2.5))).toBe(false);
  store.preview(bleed(2.5));
  store.stage(bleed(2.5), 'bleed');
  store.commit();
  expect([store.job, store.past]).toEqual([before, []]);
  expect(useMessages().shown?.action?.label).toBeTruthy();
});

test('a change of one copy alone is seen on that copy and on no other', async () => {
  const store = await opened();
  const [first, second] = [`${PIECE}#1`, `${PIECE}#2`] as const;
  expect(store.changeAlone(first, typed('Thrift'))).toBe(true);
  expect(textOf(store.job)).toBe('Sea Holly');
  store.showCopy(first);
  expect(textOf(store.job)).toBe('Thrift');
  store.showCopy(second);
  expect(textOf(store.job)).toBe('Sea Holly');
});

test('a job that is not there is missing, and leaves nothing to change', async () => {
  setActivePinia(createPinia());
  const store = useJobStore();
  await store.open('never-made');
  expect([store.state, store.job]).toEqual(['missing', undefined]);
  expect(store.act(bleed(2))).toBe(false);
});
