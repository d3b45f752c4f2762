import { computed, onBeforeUnmount, ref, shallowRef, watch } from 'vue';
import { Cancelled, type Doing, type Result } from '../../../core/base/index.ts';
import { asPrinted, compileJob, groupsOf, printKeys, type Job } from '../../../core/job/index.ts';
import {
  fileStem,
  programText,
  type ExportChoices,
  type MadeFile,
} from '../../../core/output/index.ts';
import type { Point } from '../../../core/geometry/index.ts';
import { alignToMarks, bookedRuns, type RunRecord } from '../../../core/run/index.ts';
import type { Material } from '../../../core/stock/index.ts';
import { doingText } from '../../../messages/index.ts';
import { calls } from '../../calls/index.ts';
import { cutOn, printOn, type AtWork, type CutterAtWork } from '../../session/bridge.ts';
import { useShelf } from '../../session/shelf-store.ts';
import { useStockRoom } from '../../session/stock-room-store.ts';
import { blobOf, download, forgetRun, keepRun } from '../../storage/index.ts';
import { texts } from '../../texts/index.ts';
import { canvasWith } from '../../ui/canvas.ts';
import { useMessages } from '../../ui/messages-store.ts';
import { useSettings } from '../../ui/settings-store.ts';
import { saveFiles } from '../proof/saved-files.ts';
import { useJobStore } from '../../session/job-store.ts';
import { pageCompiler } from '../../session/page-resources.ts';
import { useChosenCutter, useChosenPrinter } from '../../session/chosen-devices.ts';
import { knifeOf } from '../../stock/cutters/knife-of.ts';
import { usePrintChoices } from './print-choices.ts';
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
  const settings = useSettings();
  const messages = useMessages();

  const record = shallowRef<RunRecord>();
  const busy = ref(false);
  const share = ref(0);
  const doing = ref('');
  /** The first sheet that is still to be printed, from 1, after a print that was broken off. */
  const from = ref(1);
  const broken = ref(false);
  /** The first cut that is still to be made of a sheet, from 1, after a cut that was broken off. */
  const fromCut = ref(1);
  /** Where the marks of the sheet in the cutter are, when a hand has shown them. */
  const places = shallowRef<readonly Point[]>();
  let atWork: AtWork | undefined;
  /** What the cutter is at, which can rest between cuts. */
  const cutting = shallowRef<CutterAtWork>();
  const rests = ref(false);
  /** The cut that it is at, from 1; 0 while it is at none. */
  const cutAt = ref(0);

  const printer = useChosenPrinter();
  const cutter = useChosenCutter();
  const { choices, asks } = usePrintChoices(() => printer.value);
  const ways = computed((): Ways => ({
    printer: printer.value ? 'network' : settings.devices.printer === 'dialog' ? 'dialog' : 'file',
    cutter: cutter.value?.address ? 'network' : 'file',
    duplex: printer.value?.duplex === true,
    asks: asks.value,
  }));
  const printed = computed(() => {
    const job = active() ? store.committed : undefined;
    return job && asPrinted(compileJob(job, pageCompiler));
  });
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

  async function printFile(choices: Partial<ExportChoices>): Promise<readonly MadeFile[]> {
    const job = store.committed;
    if (!job) return [];
    const correction = await room.correctionFor(settings.printer);
    const all = correction ? { ...choices, printer: correction } : choices;
    return calls.call('exportFiles', { job, formats: ['pdf'], choices: all }, (part) => {
      share.value = part / 2;
    }).answer;
  }

  async function print(step: RunStep): Promise<boolean> {
    const count = printed.value?.sheets.length ?? 0;
    const sheets = Array.from({ length: count }, (_, at) => at).slice(from.value - 1);
    const twice = steps.value.some(({ kind }) => kind === 'print-back');
    const side = step.kind === 'print-back' ? 'back' : 'front';
    const made = await printFile({ sheets, ...(twice ? { side } : {}) });
    const [file] = made;
    const job = store.committed;
    if (!file || !job || !choices.value) return false;
    if (!record.value?.picture) await keep({ picture: await smallPicture(file.bytes, job) });
    if (ways.value.printer === 'file') {
      saveFiles(made, job.name);
      return true;
    }
    if (ways.value.printer === 'dialog') {
      open(URL.createObjectURL(blobOf(file.bytes, 'application/pdf')));
      return true;
    }
    const both = !twice && (file.pages ?? 0) > sheets.length;
    return sent(
      printOn(
        {
          address: printer.value?.address ?? '',
          name: job.name,
          width: job.stock.width,
          height: job.stock.height,
          choices: choices.value,
          sides: both ? `two-sided-${job.plan.turnOver ?? 'long'}-edge` : 'one-sided',
        },
        file.bytes,
        tell,
      ),
    );
  }

  async function cut({ sheet = 0 }: RunStep, dry = false): Promise<boolean> {
    const { value } = cutter;
    const knife = value && store.committed ? knifeOf(value, store.committed.material) : undefined;
    const marks = printed.value?.sheets[sheet]?.marks ?? [];
    const aligned = places.value && alignToMarks(marks, places.value);
    if (aligned && !aligned.ok) {
      places.value = undefined;
      messages.sayProblem(aligned.problem);
      return false;
    }
    const program = await calls.call('cutProgram', {
      job: store.committed as Job,
      sheet,
      choices: {
        ...(knife ? { knife } : {}),
        ...(aligned ? { lies: aligned.value } : {}),
        ...(value?.profile ? { profile: value.profile } : {}),
        done: fromCut.value - 1,
        dry,
      },
    }).answer;
    if (!program) return false;
    if (value?.address) {
      const work = cutOn(value, { program, done: fromCut.value - 1 }, (part, at) =>
        tell(part, at, 0),
      );
      cutting.value = work;
      return sent(work).finally(() => (cutting.value = undefined));
    }
    const name = `${fileStem(store.job?.name ?? '')}-${sheet + 1}${dry ? '-dry' : ''}`;
    download(
      `${name}.${value?.profile?.language ?? 'hpgl'}`,
      new TextEncoder().encode(programText(program)),
      'application/octet-stream',
    );
    return true;
  }

  /** @param before the share of the work that was done before the device's */
  function tell(part: number, at: Doing, before = 0.5): void {
    share.value = before + (1 - before) * part;
    doing.value = doingText(at);
    if (at.code === 'sending-cut') cutAt.value = at.values.cut;
  }

  /** Waits for a device; tells what kept it from its work. */
  async function sent(work: AtWork): Promise<boolean> {
    atWork = work;
    const came: Result<unknown> = await work.done;
    if (came.ok) return true;
    messages.sayProblem(came.problem);
    broken.value = true;
    const { values } = came.problem;
    if ('from' in values && typeof values.from === 'number') fromCut.value = values.from;
    return false;
  }

  /** Does something with a device; one thing at a time, and what goes wrong is told. */
  async function busyWith(work: () => Promise<void>): Promise<void> {
    if (busy.value || !store.committed) return;
    await store.flush();
    if (!record.value) await begin();
    busy.value = true;
    share.value = 0;
    doing.value = texts.proof.writing;
    try {
      await work();
    } catch (error) {
      if (!(error instanceof Cancelled)) messages.sayError(error);
      else if (cutAt.value > 1) {
        // What was cut stays cut.
        fromCut.value = cutAt.value;
        broken.value = true;
      }
    } finally {
      busy.value = false;
      cutAt.value = 0;
      atWork = undefined;
    }
  }

  /** Does what the button of a step says. */
  const perform = (step: RunStep): Promise<void> =>
    busyWith(async () => {
      const did =
        step.kind === 'print' || step.kind === 'print-back'
          ? await print(step)
          : step.kind === 'cut'
            ? await cut(step)
            : true;
      if (!did) return;
      broken.value = false;
      from.value = 1;
      fromCut.value = 1;
      places.value = undefined;
      const open = record.value?.open;
      if (step.kind === 'count') await finish();
      else if (open) await keep({ open: { ...open, done: [...open.done, step.key] } });
    });

  /** Goes along the lines of a sheet with the beam off, or the tool lifted. */
  const dryRun = (step: RunStep): Promise<void> =>
    busyWith(async () => {
      await cut(step, true);
    });

  /** Lets the cutter rest after the cut that it is at, or go on. */
  async function rest(): Promise<void> {
    rests.value = !rests.value;
    await cutting.value?.rest(rests.value);
  }
  watch(cutting, () => (rests.value = false));

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

  const cancel = (): void => atWork?.cancel();
  onBeforeUnmount(cancel);

  return {
    record,
    printed,
    steps,
    now,
    done,
    spoiled,
    busy,
    share,
    doing,
    from,
    broken,
    fromCut,
    places,
    cutter,
    resume,
    cutting,
    rests,
    perform,
    dryRun,
    rest,
    redo,
    mark,
    giveUp,
    cancel,
  };
}

export type RealRun = ReturnType<typeof useRealRun>;
