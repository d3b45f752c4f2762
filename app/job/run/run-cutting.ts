import { ref, shallowRef, watch } from 'vue';
import type { Point } from '../../../core/geometry/index.ts';
import type { CompiledJob } from '../../../core/job/index.ts';
import { fileStem, programText } from '../../../core/output/index.ts';
import { alignToMarks } from '../../../core/run/index.ts';
import { calls } from '../../calls/index.ts';
import { cutOn, type CutterAtWork } from '../../session/bridge.ts';
import { useChosenCutter } from '../../session/chosen-devices.ts';
import { useJobStore } from '../../session/job-store.ts';
import { knifeOf } from '../../stock/cutters/knife-of.ts';
import { download } from '../../storage/index.ts';
import { useMessages } from '../../ui/messages-store.ts';
import type { DeviceWork } from './device-work.ts';
import type { RunStep } from './run-steps.ts';

/** Cuts the sheets of a run on the cutter that is chosen, or saves their cut lines. */
export function useRunCutting(printed: () => CompiledJob | undefined, work: DeviceWork) {
  const store = useJobStore();
  const messages = useMessages();
  const cutter = useChosenCutter();
  /** The first cut that is still to be made of a sheet, from 1, after a cut that was broken off. */
  const fromCut = ref(1);
  /** Where the marks of the sheet in the cutter are, when a hand has shown them. */
  const places = shallowRef<readonly Point[]>();
  /** What the cutter is at, which can rest between cuts. */
  const cutting = shallowRef<CutterAtWork>();
  const rests = ref(false);
  watch(cutting, () => (rests.value = false));

  /** Cuts a sheet. @param dry goes along its lines with the tool off or lifted */
  async function cut({ sheet = 0 }: RunStep, dry = false): Promise<boolean> {
    const { value } = cutter;
    const job = store.committed;
    if (!job) return false;
    const knife = value && knifeOf(value, job.material);
    const marks = printed()?.sheets[sheet]?.marks ?? [];
    const aligned = places.value && alignToMarks(marks, places.value);
    if (aligned && !aligned.ok) {
      places.value = undefined;
      messages.sayProblem(aligned.problem);
      return false;
    }
    const done = fromCut.value - 1;
    const program = await calls.call('cutProgram', {
      job,
      sheet,
      choices: {
        ...(knife ? { knife } : {}),
        ...(aligned ? { lies: aligned.value } : {}),
        ...(value?.profile ? { profile: value.profile } : {}),
        done,
        dry,
      },
    }).answer;
    if (!program) return false;
    if (value?.address) return sent(cutOn(value, { program, done }, tell));
    const name = `${fileStem(store.job?.name ?? '')}-${sheet + 1}${dry ? '-dry' : ''}`;
    download(
      `${name}.${value?.profile?.language ?? 'hpgl'}`,
      new TextEncoder().encode(programText(program)),
      'application/octet-stream',
    );
    return true;
  }

  /** The cut that the cutter is at, from 1; 0 while it is at none. */
  let cutAt = 0;
  const tell: DeviceWork['tell'] = (share, at) => {
    if (at.code === 'sending-cut') cutAt = at.values.cut;
    work.tell(share, at);
  };

  async function sent(running: CutterAtWork): Promise<boolean> {
    cutting.value = running;
    try {
      const kept = await work.waitFor(running);
      if (!kept) return true;
      const { values } = kept;
      if ('from' in values && typeof values.from === 'number') fromCut.value = values.from;
      work.broken.value = true;
      messages.sayProblem(kept);
      return false;
    } catch (error) {
      // What was cut before a cancel stays cut.
      if (cutAt > 1) {
        fromCut.value = cutAt;
        work.broken.value = true;
      }
      throw error;
    } finally {
      cutAt = 0;
      cutting.value = undefined;
    }
  }

  /** Lets the cutter rest after the cut that it is at, or go on. */
  async function rest(): Promise<void> {
    rests.value = !rests.value;
    await cutting.value?.rest(rests.value);
  }

  function ended(): void {
    fromCut.value = 1;
    places.value = undefined;
  }

  return { cutter, cutting, fromCut, places, rests, cut, rest, ended };
}
