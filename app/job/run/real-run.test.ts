import { createPinia, setActivePinia } from 'pinia';
import { effectScope, type EffectScope } from 'vue';
import { createJob, type Job } from '../../../core/job/index.ts';
import { countPdfPages } from '../../../core/pdf/index.ts';
import { supplySheets } from '../../../core/stock/index.ts';
import { exampleWords, runAll } from '../../../core/testing/example-job.ts';
import { nodePlatform } from '../../../core/testing/node-platform.ts';
import { answerCallsHere } from '../../testing/page-globals.ts';
import type { RealRun } from './real-run.ts';

await answerCallsHere();
console.warn = () => undefined; // composables are used outside of a component here
const saved: { name: string; blob: Blob }[] = [];
let blob = new Blob();
Object.assign(globalThis, {
  document: {
    createElement: () => ({
      click(this: { download: string }) {
        saved.push({ name: this.download, blob });
      },
      remove: () => undefined,
    }),
    body: { append: () => undefined },
  },
});
URL.createObjectURL = (given) => {
  blob = given as Blob;
  return 'blob:here';
};
URL.revokeObjectURL = () => undefined;
// Addresses of files are let go after a minute, for which no test is kept running.
const { setTimeout: later } = globalThis;
globalThis.setTimeout = ((act: () => void, ms?: number) => {
  const timer = later(act, ms);
  if ((ms ?? 0) > 10_000) timer.unref();
  return timer;
}) as typeof setTimeout;

const { useRealRun } = await import('./real-run.ts');
const { useJobStore } = await import('../../session/job-store.ts');
const { useShelf } = await import('../../session/shelf-store.ts');
const { confirmDevice } = await import('../../session/bridge.ts');
const { useSettings } = await import('../../ui/settings-store.ts');
const { useStockRoom } = await import('../../session/stock-room-store.ts');
const { keepJob } = await import('../../storage/index.ts');
const { useMessages } = await import('../../ui/messages-store.ts');

let scope: EffectScope | undefined;
/** The desk of a real run, as it is after a visit: what it had in mind before is gone. */
function visited(): RealRun {
  scope?.stop();
  scope = effectScope();
  const run = scope.run(() => useRealRun(() => true));
  if (!run) throw new Error('no scope');
  return run;
}

/** Labels of 58 mm with a word on them, on three sheets of A4. */
const threeSheets = (id: string): Job =>
  runAll(
    createJob('lid', { id, today: '2026-04-18' }),
    { name: 'add-element', args: { piece: 'piece-1', element: exampleWords() } },
    { name: 'want', args: { piece: 'piece-1', count: 30 } },
  );

async function opened(id: string): Promise<RealRun> {
  setActivePinia(createPinia());
  saved.length = 0;
  await keepJob(threeSheets(id), 1);
  await useJobStore().open(id);
  const run = visited();
  expect(await run.resume()).toBe(false);
  return run;
}

/** Does steps by their buttons until one of a kind has been done. */
async function throughTo(run: RealRun, kind: string): Promise<void> {
  for (let at = 0; at < 40; at++) {
    const step = run.now.value;
    if (!step) throw new Error(`no ${kind}`);
    await run.perform(step);
    if (step.kind === kind) return;
  }
}

afterEach(async () => {
  const store = useJobStore();
  await store.flush();
  store.close();
});

test('a run is in the ledger once, with what it took, and takes its sheets from the supply once', async () => {
  const run = await opened('whole');
  const store = useJobStore();
  const room = useStockRoom();
  const { stock, material } = store.job as Job;
  const supply = await room.addSupply(stock, material);
  await room.keepSupply({ ...supply, packs: 0, loose: 20 });
  await throughTo(run, 'count');
  expect(run.record.value).toBeUndefined();
  const { runs } = useShelf();
  expect(runs.filter(({ job }) => job === 'whole')).toHaveLength(1);
  const [record] = runs;
  expect(record).toMatchObject({ sheets: 3, copies: 30, jobName: store.job?.name });
  expect(record?.open).toBeUndefined();
  expect(record?.seconds).toBeGreaterThanOrEqual(0);
  expect(room.room.supplies.map(supplySheets)).toEqual([17]);
  expect(saved.map(({ name }) => name.replace(/^.*(-\d)?\./, '$1.'))).toEqual([
    '.pdf',
    '.hpgl',
    '.hpgl',
    '.hpgl',
  ]);
  expect(useMessages().shown?.text).toContain('30');
});

test('a run that was interrupted goes on with the step that it had come to', async () => {
  const run = await opened('half');
  await throughTo(run, 'cut');
  const id = run.record.value?.id;
  const next = run.now.value?.key;
  const again = visited();
  expect(again.now.value?.kind).toBe('print');
  expect(await again.resume()).toBe(true);
  expect([again.record.value?.id, again.now.value?.key]).toEqual([id, next]);
  await throughTo(again, 'count');
  expect(useShelf().runs.filter(({ job }) => job === 'half')).toHaveLength(1);
});

test('a print goes on from a sheet, and a step that was done can be done once more', async () => {
  const run = await opened('from');
  run.from.value = 3;
  await throughTo(run, 'print');
  const [file] = saved;
  const pages = async (of: Blob | undefined): Promise<number> =>
    countPdfPages(nodePlatform, new Uint8Array((await of?.arrayBuffer()) ?? new ArrayBuffer(0)));
  expect(await pages(file?.blob)).toBe(1);
  expect(run.from.value).toBe(1);
  const [print] = run.steps.value.filter(({ kind }) => kind === 'print');
  if (!print) throw new Error('no print');
  await run.redo(print);
  expect(run.now.value?.key).toBe(print.key);
  await run.perform(print);
  expect(await pages(saved[1]?.blob)).toBe(3);
});

test('alike sheets are copied by the printer; a print that stopped among them goes on from there', async () => {
  const run = await opened('copies');
  const address = 'ipp://bench.local:631/ipp/print';
  const sent: URLSearchParams[] = [];
  const progress = (sheet: number, of: number) => ({
    share: 0.5,
    doing: { code: 'printing-sheet', values: { sheet, of } },
  });
  const { fetch } = globalThis;
  const jam = { ok: false, problem: { code: 'printer/stopped', values: {} } };
  const answers = [
    [progress(2, 2), jam],
    [progress(1, 2), { ok: true }],
  ];
  globalThis.fetch = (asked) => {
    const { pathname, searchParams } = new URL(asked as string, 'http://here');
    const path = pathname.split('/').pop();
    if (path === 'token') return Promise.resolve(Response.json({ token: 'secret' }));
    if (path === 'devices') return Promise.resolve(Response.json({ ok: true, value: address }));
    sent.push(searchParams);
    const lines = (answers.shift() ?? []).map((line) => `${JSON.stringify(line)}\n`);
    return Promise.resolve(new Response(lines.join('')));
  };
  await confirmDevice('printer', address);
  const room = useStockRoom();
  const { id, ...made } = await room.addPrinter({ address });
  const offers = { trays: [], types: [], color: true, copies: 50 };
  await room.keepPrinter({ id, ...made, offers });
  useSettings().devices = { printer: id, cutter: 'file' };

  await run.perform(run.now.value as never);
  const asked = (one: URLSearchParams | undefined) =>
    ['copies', 'sheets'].map((name) => one?.get(name));
  // Two full sheets are alike; the second of them was being printed.
  expect(sent.map(asked)).toEqual([['2', '2']]);
  expect([run.broken.value, run.from.value]).toEqual([true, 2]);
  expect(run.now.value?.kind).toBe('print');
  await run.perform(run.now.value as never);
  expect(sent.map(asked)).toEqual([
    ['2', '2'],
    ['1', '2'],
  ]);
  expect([run.broken.value, run.from.value]).toEqual([false, 1]);
  expect(run.now.value?.kind).not.toBe('print');
  useSettings().devices = { printer: 'file', cutter: 'file' };
  await new Promise((kept) => setTimeout(kept));
  globalThis.fetch = fetch;
});

test('a cut goes on from a line, with fewer of them, and from the first again after that', async () => {
  const run = await opened('line');
  await throughTo(run, 'print');
  while (run.now.value && run.now.value.kind !== 'cut') await run.perform(run.now.value);
  const cut = run.now.value;
  if (!cut) throw new Error('no cut');
  run.fromCut.value = 5;
  await run.perform(cut);
  await run.redo(cut);
  await run.perform(cut);
  const texts = await Promise.all(saved.slice(1).map(({ blob: of }) => of.text()));
  const outlines = texts.map((text) => text.split('PU').length);
  expect(outlines).toHaveLength(2);
  // A label is one line of the pen: four less.
  expect((outlines[1] ?? 0) - (outlines[0] ?? 0)).toBe(4);
});

test('spoiled labels are told apart, and a run that is given up leaves nothing unless it is undone', async () => {
  const run = await opened('spoiled');
  await throughTo(run, 'print');
  await run.mark('piece-1#2');
  await run.mark('piece-1#5');
  await run.mark('piece-1#2');
  expect([...run.spoiled.value]).toEqual(['piece-1#5']);
  await run.giveUp();
  expect(run.record.value).toBeUndefined();
  expect(useShelf().runs.filter(({ job }) => job === 'spoiled')).toEqual([]);
  useMessages().shown?.action?.run();
  for (let waited = 0; !run.record.value && waited < 100; waited++)
    await new Promise((go) => setTimeout(go, 10));
  expect(run.record.value?.spoiled).toEqual(['piece-1#5']);
});
