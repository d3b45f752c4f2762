import { computed, ref } from 'vue';
import { alikeSheets, type CompiledJob } from '../../../core/job/index.ts';
import type { ExportChoices, MadeFile } from '../../../core/output/index.ts';
import { calls } from '../../calls/index.ts';
import { printOn } from '../../session/bridge.ts';
import { useChosenPrinter } from '../../session/chosen-devices.ts';
import { useJobStore } from '../../session/job-store.ts';
import { useStockRoom } from '../../session/stock-room-store.ts';
import { blobOf } from '../../storage/index.ts';
import { useMessages } from '../../ui/messages-store.ts';
import { useSettings } from '../../ui/settings-store.ts';
import { saveFiles } from '../proof/saved-files.ts';
import type { DeviceWork } from './device-work.ts';
import { usePrintChoices } from './print-choices.ts';
import { printParts, type PrintPart } from './print-parts.ts';
import type { RunStep, Ways } from './run-steps.ts';

const WRITING = 0.3; // share of the time that a print takes, until it is sent

/** Prints the sheets of a run on the printer that is chosen, opens their PDF, or saves it. */
export function useRunPrinting(printed: () => CompiledJob | undefined, work: DeviceWork) {
  const store = useJobStore();
  const room = useStockRoom();
  const settings = useSettings();
  const messages = useMessages();
  const printer = useChosenPrinter();
  const { choices, asks } = usePrintChoices(() => printer.value);
  /** The first sheet that is still to be printed, from 1, after a print that was broken off. */
  const from = ref(1);
  const way = computed((): Ways['printer'] =>
    printer.value ? 'network' : settings.devices.printer === 'dialog' ? 'dialog' : 'file',
  );

  async function printFile(
    choices: Partial<ExportChoices>,
    tell: (share: number) => void,
  ): Promise<readonly MadeFile[]> {
    const job = store.committed;
    if (!job) return [];
    const correction = await room.correctionFor(settings.printer);
    const all = correction ? { ...choices, printer: correction } : choices;
    return calls.call('exportFiles', { job, formats: ['pdf'], choices: all }, tell).answer;
  }

  /**
   * Prints one side of the sheets, or both.
   * @param twice whether the sides are printed one after the other
   * @param made told of the first file
   */
  async function print(
    step: RunStep,
    twice: boolean,
    made: (pdf: Uint8Array) => Promise<void>,
  ): Promise<boolean> {
    const compiled = printed();
    if (!compiled) return false;
    const { length } = compiled.sheets;
    const begin = from.value - 1;
    const most = way.value === 'network' ? (printer.value?.offers?.copies ?? 1) : 1;
    const alike = most > 1 ? alikeSheets(compiled) : [{ first: 0, count: length }];
    let done = begin;
    for (const [at, part] of printParts(alike, { from: begin, most }).entries()) {
      const side = step.kind === 'print-back' ? ('back' as const) : ('front' as const);
      const size = part.sheets.length * part.copies;
      /** How much of the whole is done when so much of this part is. */
      const whole = (share: number): number => (done - begin + size * share) / (length - begin);
      const files = await printFile(
        { sheets: part.sheets, ...(twice ? { side } : {}) },
        (share) => (work.share.value = whole(share * WRITING)),
      );
      const [file] = files;
      if (!file) return false;
      if (at === 0) await made(file.bytes);
      const both = !twice && (file.pages ?? 0) > part.sheets.length;
      if (!(await handOver(files, part, { both, done, of: length, whole }))) return false;
      done += size;
      from.value = done + 1;
    }
    return true;
  }

  async function handOver(
    files: readonly MadeFile[],
    { sheets, copies }: PrintPart,
    {
      both,
      done,
      of,
      whole,
    }: { both: boolean; done: number; of: number; whole: (share: number) => number },
  ): Promise<boolean> {
    const [file] = files;
    const job = store.committed;
    if (!file || !job || !choices.value) return false;
    if (way.value === 'file') {
      saveFiles(files, job.name);
      return true;
    }
    if (way.value === 'dialog') {
      open(URL.createObjectURL(blobOf(file.bytes, 'application/pdf')));
      return true;
    }
    const running = printOn(
      {
        address: printer.value?.address ?? '',
        name: job.name,
        width: job.stock.width,
        height: job.stock.height,
        choices: choices.value,
        sides: both ? `two-sided-${job.plan.turnOver ?? 'long'}-edge` : 'one-sided',
        copies,
        sheets: sheets.length * copies,
      },
      file.bytes,
      (share, doing) => {
        const now = whole(WRITING + (1 - WRITING) * share);
        if (doing.code !== 'printing-sheet') return work.tell(now, doing);
        // Of all sheets of the run, of which the printer knows this part alone.
        const sheet = done + doing.values.sheet;
        from.value = sheet;
        work.tell(now, { ...doing, values: { sheet, of } });
      },
    );
    try {
      const kept = await work.waitFor(running);
      if (!kept) return true;
      work.broken.value = true;
      messages.sayProblem(kept);
      return false;
    } catch (error) {
      work.broken.value = from.value > 1;
      throw error;
    }
  }

  function ended(): void {
    from.value = 1;
  }

  return { printer, way, choices, asks, from, print, ended };
}
