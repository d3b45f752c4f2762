import { defineStore } from 'pinia';
import { computed, ref, shallowRef } from 'vue';
import type { RunRecord } from '../../core/run/index.ts';
import { expectOk, freeId, isProblem } from '../../core/base/index.ts';
import {
  createJob,
  isDesign,
  mendPeel,
  runCommand,
  writePeel,
  type Beginning,
  type Job,
} from '../../core/job/index.ts';
import type { ReadArt } from '../../core/art/index.ts';
import { spotCount, type Material, type Stock } from '../../core/stock/index.ts';
import { fileStem } from '../../core/output/index.ts';
import { leftOutTexts } from '../../messages/index.ts';
import {
  allJobs,
  allRuns,
  askToKeep,
  backUp,
  bringDemo,
  bytesOf,
  changeJob,
  deleteJob,
  download,
  findJob,
  keepJob,
  keepJobWithArt,
  putJobBack,
  removeDemo,
  restore,
  sweep,
  welcome,
  withArt,
  originalOf,
  type KeptJob,
  type UnreadJob,
} from '../storage/index.ts';
import { stickersFrom, USUAL_STICKERS, type StickerChoices } from './stickers.ts';
import { useOwnDesigns } from './own-designs.ts';
import { forgetMissing } from './page-resources.ts';
import { texts } from '../texts/index.ts';
import { useMessages } from '../ui/messages-store.ts';
import { saveOriginal } from './save-original.ts';

/** The jobs on the shelf and what can be done with them as a whole. */
export const useShelf = defineStore('shelf', () => {
  const messages = useMessages();
  const designs = useOwnDesigns();
  const jobs = shallowRef<readonly KeptJob[]>([]);
  /** Those that cannot be opened; they stay until somebody deletes them. */
  const unread = shallowRef<readonly UnreadJob[]>([]);
  const runs = shallowRef<readonly RunRecord[]>([]);
  const query = ref('');
  const ready = ref(false);
  let started = false;

  const found = computed(() => {
    const wanted = query.value.trim().toLowerCase();
    return jobs.value.filter(({ job }) => job.name.toLowerCase().includes(wanted));
  });
  const hasDemo = computed(() => jobs.value.some(({ isDemo }) => isDemo));

  /** Does something with the shelf, tells what went wrong, and looks again at what is there. */
  async function doing(work: () => Promise<void>): Promise<void> {
    try {
      await work();
    } catch (error) {
      messages.sayError(error);
    }
    await refresh().catch(messages.sayError);
  }

  async function refresh(): Promise<void> {
    const read = await allJobs();
    jobs.value = read.jobs;
    unread.value = read.unread;
    await readRuns();
    ready.value = true;
  }

  /** Reads the runs again, when the jobs are as they were. */
  async function readRuns(): Promise<void> {
    runs.value = await allRuns();
  }

  function start(): Promise<void> {
    return doing(async () => {
      if (started) return;
      started = true;
      await sweep(Date.now());
      await welcome(Date.now());
    });
  }

  function newId(): string {
    return freeId('job', [
      ...jobs.value.map(({ job }) => job.id),
      ...unread.value.map(({ id }) => id),
    ]);
  }

  async function create(
    beginning: Beginning,
    on: { stock: Stock; material: Material } | undefined = undefined,
  ): Promise<Job | undefined> {
    const today = new Date();
    const day = `${today.getFullYear()}-${String(today.getMonth() + 1).padStart(2, '0')}-${String(today.getDate()).padStart(2, '0')}`;
    const bare = createJob(beginning, { id: newId(), today: day });
    const job = on ? laidOn(bare, on) : bare;
    let made: Job | undefined;
    await doing(async () => {
      await keepJob(job, Date.now());
      await askToKeep();
      made = job;
    });
    return made;
  }

  /** A job of stickers from pictures, each a piece of its own. */
  async function createFromArt(
    reads: readonly ReadArt[],
    choices: StickerChoices = USUAL_STICKERS,
  ): Promise<Job | undefined> {
    const [first] = reads;
    if (!first) return undefined;
    const made = await create('own');
    if (!made) return undefined;
    const { pieces, art } = await stickersFrom(reads, choices, (at) => {
      if (reads.length > 1) messages.say(texts.shelf.sticker.cutting(at, reads.length));
    });
    const count = pieces.length;
    if (count > 1) messages.say(texts.shelf.sticker.made(count));
    const name = count > 1 ? texts.shelf.sticker.jobName(count) : first.art.name.slice(0, 120);
    const filled = runCommand(
      { ...made, name },
      {
        name: 'add-pieces',
        args: { pieces, art, wanted: 1, instead: 'piece-1', nest: count > 1 },
      },
    );
    if (isProblem(filled)) messages.sayProblem(filled);
    const job = isProblem(filled) ? made : filled;
    await doing(() => keepJob(job, Date.now()));
    return job;
  }

  /** A job on a sheet, one label wanted for each of its places. */
  function laidOn(bare: Job, on: { stock: Stock; material: Material }): Job {
    const count = on.stock.spots ? spotCount(on.stock.spots) : 12;
    const args = { piece: bare.pieces[0]?.id ?? '', count };
    const laid = runCommand(bare, { name: 'choose-stock', args: on });
    if (isProblem(laid)) messages.sayProblem(laid);
    const full = isProblem(laid) ? laid : runCommand(laid, { name: 'want', args });
    return isProblem(full) ? bare : full;
  }

  function rename(job: Job, name: string): Promise<void> {
    const renamed = (kept: Job): Job => ({ ...kept, name: name.trim().slice(0, 120) || kept.name });
    return doing(async () => {
      if (!(await changeJob(job.id, renamed, Date.now()))) tellOpen([job.name]);
    });
  }

  function duplicate(job: Job): Promise<void> {
    const copy = { ...job, id: newId(), name: texts.shelf.copyOf(job.name).slice(0, 120) };
    return doing(async () => {
      await keepJob(copy, Date.now());
      messages.say(texts.shelf.duplicated(copy.name));
    });
  }

  /** One thing of a set as a job of its own; whether it is kept. */
  async function takeOut(thing: Job, name: string): Promise<boolean> {
    const made = { ...thing, id: newId(), name: name.slice(0, 120) };
    let isKept = false;
    await doing(async () => {
      await keepJob(made, Date.now());
      isKept = true;
    });
    return isKept;
  }

  /** Says which jobs were left as they are, since a tab has them open. */
  function tellOpen(names: readonly string[]): void {
    messages.sayTrouble(texts.lock.open(names));
  }

  function remove(job: Pick<Job, 'id' | 'name'>): Promise<void> {
    return doing(async () => {
      if (!(await deleteJob(job.id))) return tellOpen([job.name]);
      const back = (): void => void doing(() => putJobBack(job.id));
      messages.say(texts.shelf.deleted(job.name), { label: texts.undo, run: back });
    });
  }

  function exportJob(job: Job): Promise<void> {
    return doing(async () => {
      const kept = await findJob(job.id);
      const whole = await withArt(kept?.ok ? kept.value.job : job);
      download(`${fileStem(job.name)}.peel`, writePeel(whole), 'application/zip');
    });
  }

  /** What is kept of a job that cannot be opened, as a file. */
  function saveAsIs({ id, name }: UnreadJob): Promise<void> {
    return doing(async () => saveOriginal(name, await originalOf(id)));
  }

  /** Brings in .peel files and backups, told apart by what is in them. */
  async function take(files: readonly File[]): Promise<void> {
    for (const file of files) {
      await doing(async () => {
        const bytes = await bytesOf(file);
        if (file.name.endsWith('.zip')) return restoreFrom(bytes, file.name);
        const { leftOut, ...whole } = expectOk(mendPeel(bytes, file.name));
        if (isDesign(whole.job)) return void (await designs.take(whole.job, whole.art));
        const taken = jobs.value.some(({ job }) => job.id === whole.job.id);
        const job = taken ? { ...whole.job, id: newId() } : whole.job;
        await keepJobWithArt({ ...whole, job }, Date.now());
        forgetMissing();
        messages.say(
          leftOut.length
            ? texts.shelf.mendedFile(job.name, leftOutTexts(leftOut))
            : texts.shelf.opened(job.name),
        );
      });
    }
  }

  async function restoreFrom(bytes: Uint8Array, name: string): Promise<void> {
    const { jobs: count, damaged, open } = await restore(bytes, name, Date.now());
    forgetMissing();
    messages.say(texts.shelf.restored(count) + (damaged ? texts.shelf.damaged(damaged) : ''));
    if (open.length) tellOpen(open);
  }

  function saveAll(): Promise<void> {
    return doing(async () => download('little-peel-backup.zip', await backUp(), 'application/zip'));
  }

  function dropDemo(): Promise<void> {
    return doing(async () => {
      await removeDemo();
      const back = (): void => void doing(() => bringDemo(Date.now()));
      messages.say(texts.shelf.demoRemoved, { label: texts.undo, run: back });
    });
  }

  /** Runs of a job, or of one thing of it; what was run before it was a set counts for all. */
  const runsOf = (job: string, thing?: string): readonly RunRecord[] =>
    runs.value.filter(
      (run) =>
        run.job === job && (thing === undefined || run.thing === undefined || run.thing === thing),
    );

  function lastRun(job: string, thing?: string): RunRecord | undefined {
    return runsOf(job, thing).find((run) => !run.open);
  }

  /** The run of a job, or of one thing of it, that is under way. */
  function openRun(job: string, thing?: string): RunRecord | undefined {
    return runsOf(job, thing).find((run) => run.open);
  }

  /** What each copy of a job looked like when it was last printed. */
  function printedBefore(job: string, thing?: string): Record<string, string> {
    const own = runsOf(job, thing).filter((run) => !run.open);
    return Object.assign({}, ...own.map(({ printed }) => printed).reverse()) as Record<
      string,
      string
    >;
  }

  return {
    jobs,
    unread,
    saveAsIs,
    found,
    query,
    ready,
    hasDemo,
    start,
    refresh,
    readRuns,
    create,
    createFromArt,
    rename,
    duplicate,
    takeOut,
    remove,
    exportJob,
    take,
    saveAll,
    dropDemo,
    lastRun,
    openRun,
    runs,
    printedBefore,
  };
});
