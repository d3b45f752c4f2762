import { computed, onBeforeUnmount, shallowRef } from 'vue';
import { Cancelled } from '../../../core/base/index.ts';
import { asPrinted, compileJob, groupsOf, printKeys, type Job } from '../../../core/job/index.ts';
import { bookedRuns, type RunRecord } from '../../../core/run/index.ts';
import type { Material } from '../../../core/stock/index.ts';
import { calls } from '../../calls/index.ts';
import { useShelf } from '../../session/shelf-store.ts';
import { useStockRoom } from '../../session/stock-room-store.ts';
import { forgetRun, keepRun } from '../../storage/index.ts';
import { texts } from '../../texts/index.ts';
import { canvasWith } from '../../ui/canvas.ts';
import { useMessages } from '../../ui/messages-store.ts';
import { useJobStore } from '../../session/job-store.ts';
import { pageCompiler } from '../../session/page-resources.ts';
import { useDeviceWork } from './device-work.ts';
import { useRunCutting } from './run-cutting.ts';
import { useRunPrinting } from './run-printing.ts';
import { runSteps, type RunStep, type Ways } from './run-steps.ts';
import { supplyAfter } from './supply-after.ts';

const PICTURE = 150; // px across, of a sheet in the ledger
const LONGEST_NAME = 300; // letters that the ledger takes
const LONGEST = 6 * 60 * 60; // seconds that a run is counted as work

/** A run for real: its devices, its steps, and how far it has come, which outlives a reload. */
export function useRealRun(active: () => boolean) {
  const store = useJobStore();
  const shelf = useShelf();
  const room = useStockRoom();
  const messages = useMessages();

  const record = shallowRef<RunRecord>();
  const work = useDeviceWork();
  const { busy, share, doing, broken } = work;
  const printed = computed(() => {
    const job = active() ? store.committed : undefined;
    return job && asPrinted(compileJob(job, pageCompiler));
  });
  const printing = useRunPrinting(() => printed.value, work);
  const cutting = useRunCutting(() => printed.value, work);
  const ways = computed((): Ways => ({
    printer: printing.way.value,
    cutter: cutting.cutter.value?.address ? 'network' : 'file',
    duplex: printing.printer.value?.duplex === true,
    asks: printing.asks.value,
  }));
  const steps = computed(() => (printed.value ? runSteps(printed.value, ways.value) : []));
  const done = computed(() => new Set(record.value?.open?.done));
  const now = computed(() => steps.value.find(({ key }) => !done.value.has(key)));
  const spoiled = computed(() => new Set(record.value?.spoiled));

  /** Goes on with a run of this job that was interrupted. */
  async function resume(): Promise<boolean> {
    await shelf.readRuns();
    const open = shelf.openRun(store.job?.id ?? '', store.thing);
    record.value = open;
    return open !== undefined;
  }

  async function keep(changes: Partial<RunRecord>): Promise<void> {
    if (!record.value) return;
    record.value = { ...record.value, ...changes };
    await keepRun(record.value);
    if (changes.open) await shelf.readRuns(); // the ticket tells how far it is
  }

  /** The first sheet of a print for the ledger; a run goes on without it. */
  const smallPicture = (pdf: Uint8Array, { stock }: Job): Promise<string | undefined> =>
    calls
      .call('renderPage', { pdf, page: 0, dpi: PICTURE / (stock.width / 25.4) })
      .answer.then((image) => canvasWith(image).toDataURL())
      .catch(() => undefined);

  /** What the sheets cost: as the job knows it, or the Stock room. */
  function packOf({ material, stock }: Job): Material['pack'] {
    const onHand = room.room.supplies.find((one) => one.stock.id === stock.id);
    const kept = room.materials.find(({ id }) => id === material.id);
    return material.pack ?? onHand?.material.pack ?? kept?.pack ?? null;
  }

  /** What the ledger calls it: of a set with the thing that is made. */
  function thingOfRun(name: string): Pick<RunRecord, 'jobName' | 'thing'> {
    const groups = store.whole?.set ? groupsOf(store.whole) : [];
    const one = groups.find(({ id }) => id === store.thing);
    return one
      ? { jobName: `${name}: ${one.name}`.slice(0, LONGEST_NAME), thing: one.id }
      : { jobName: name };
  }

  /** Whose labels lie on the sheets beside those of the job. */
  function guestsOfRun(job: Job): Pick<RunRecord, 'guests'> {
    const guests = new Map<string, NonNullable<RunRecord['guests']>[number]>();
    for (const { id, guest } of job.pieces) {
      if (guest?.job === undefined) continue;
      const key = JSON.stringify([guest.job, guest.thing]);
      const { job: from, jobName = '', thing } = guest;
      const of = guests.get(key) ?? { job: from, jobName, ...(thing ? { thing } : {}), pieces: [] };
      guests.set(key, { ...of, pieces: [...of.pieces, id] });
    }
    return guests.size ? { guests: [...guests.values()] } : {};
  }

  async function begin(): Promise<void> {
    const job = store.committed;
    if (!job || !printed.value) return;
    const { sheets } = printed.value;
    const names = sheets.flatMap(({ copies }) => copies.map(({ placement }) => placement.copy));
    const keys = printKeys(job);
    const pack = packOf(job);
    const at = new Date().toISOString();
    record.value = {
      id: `${job.id}@${at}`,
      job: job.id,
      at,
      sheets: sheets.length,
      copies: names.length,
      printed: Object.fromEntries(names.map((copy) => [copy, keys[copy] ?? ''])),
      ...thingOfRun(job.name),
      ...guestsOfRun(job),
      stock: job.stock.name,
      material: job.material.name,
      ...(pack && pack.price > 0 ? { sheetPrice: pack.price / pack.sheets } : {}),
    };
    await keep({ open: { done: [] } });
  }

  /** Does something with a device; one thing at a time, and what goes wrong is told. */
  async function busyWith(act: () => Promise<void>): Promise<void> {
    if (busy.value || !store.committed) return;
    await store.flush();
    if (!record.value) await begin();
    busy.value = true;
    share.value = 0;
    doing.value = texts.proof.writing;
    try {
      await act();
    } catch (error) {
      if (!(error instanceof Cancelled)) messages.sayError(error);
    } finally {
      busy.value = false;
    }
  }

  /** Prints what a step says; the first sheet is kept as the picture of the run. */
  function print(step: RunStep): Promise<boolean> {
    const twice = steps.value.some(({ kind }) => kind === 'print-back');
    return printing.print(step, twice, async (pdf) => {
      const job = store.committed;
      if (job && !record.value?.picture) await keep({ picture: await smallPicture(pdf, job) });
    });
  }

  /** Does what the button of a step says. */
  const perform = (step: RunStep): Promise<void> =>
    busyWith(async () => {
      const did =
        step.kind === 'print' || step.kind === 'print-back'
          ? await print(step)
          : step.kind === 'cut'
            ? await cutting.cut(step)
            : true;
      if (!did) return;
      broken.value = false;
      printing.ended();
      cutting.ended();
      const open = record.value?.open;
      if (step.kind === 'count') await finish();
      else if (open) await keep({ open: { ...open, done: [...open.done, step.key] } });
    });

  /** Goes along the lines of a sheet with the beam off, or the tool lifted. */
  const dryRun = (step: RunStep): Promise<void> =>
    busyWith(async () => {
      await cutting.cut(step, true);
    });

  /** Takes a step back, to do it once more. */
  async function redo(step: RunStep): Promise<void> {
    const open = record.value?.open;
    if (open) await keep({ open: { ...open, done: open.done.filter((key) => key !== step.key) } });
  }

  async function mark(copy: string): Promise<void> {
    const others = record.value?.spoiled?.filter((one) => one !== copy) ?? [];
    await keep({ spoiled: spoiled.value.has(copy) ? others : [...others, copy] });
  }

  async function finish(): Promise<void> {
    const { value } = record;
    if (!value) return;
    const { open, ...whole } = value;
    void open; // it is under way no more
    const seconds = Math.min(LONGEST, (Date.now() - Date.parse(value.at)) / 1000);
    for (const one of bookedRuns({ ...whole, seconds })) await keepRun(one);
    record.value = undefined;
    await takeStock();
    await shelf.readRuns();
    const good = value.copies - (value.spoiled?.length ?? 0);
    messages.say(texts.run.finished(good));
  }

  /** Notes in the Stock room which sheets, or which of their labels, are gone. */
  async function takeStock(): Promise<void> {
    const job = store.committed;
    const supply = room.room.supplies.find(({ stock }) => stock.id === job?.stock.id);
    if (!job || !supply || !printed.value) return;
    await room.keepSupply(supplyAfter(supply, printed.value.sheets, job.plan.usedLabels));
    if (job.plan.usedLabels.length)
      store.act({ name: 'change-plan', args: { changes: { usedLabels: [] } } });
  }

  async function giveUp(): Promise<void> {
    const { value } = record;
    if (!value) return;
    record.value = undefined;
    await forgetRun(value.id);
    await shelf.readRuns();
    const back = (): void => void keepRun(value).then(resume).catch(messages.sayError);
    messages.say(texts.run.gaveUp, { label: texts.undo, run: back });
  }

  onBeforeUnmount(work.cancel);

  return {
    ...{ record, printed, steps, now, done, spoiled },
    ...{ busy, share, doing, broken, cancel: work.cancel },
    ...{ printer: printing.printer, from: printing.from },
    ...{ cutter: cutting.cutter, cutting: cutting.cutting, rests: cutting.rests },
    ...{ fromCut: cutting.fromCut, places: cutting.places, rest: cutting.rest },
    ...{ resume, perform, dryRun, redo, mark, giveUp },
  };
}

export type RealRun = ReturnType<typeof useRealRun>;
