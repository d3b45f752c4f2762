import type { Doing } from '../../../core/base/index.ts';
import { ref, shallowRef } from 'vue';
import type { CallArgs } from '../../../core/calls.ts';
import type { Point } from '../../../core/geometry/index.ts';
import type { Job } from '../../../core/job/index.ts';
import type { RunReport, SimulatedFaults } from '../../../core/run/index.ts';
import { calls } from '../../calls/index.ts';
import { useJobStore } from '../../session/job-store.ts';
import { useMessages } from '../../ui/messages-store.ts';
import { useOneCall } from '../../ui/one-call.ts';

/**
 * A run on the simulated devices, and what came of it.
 * @param rehearsed hears that another rehearsal is over
 */
export function useRehearsal(rehearsed: () => void) {
  const store = useJobStore();
  const messages = useMessages();
  const report = shallowRef<RunReport>();
  const { busy: running, answerOf, cancel } = useOneCall();
  const share = ref(0);
  const doing = shallowRef<Doing>();
  /** The sheet that is looked at, from 0. */
  const sheet = ref(0);
  const faults = ref<SimulatedFaults>({});
  const marksByHand = ref(false);
  let seed = 0;

  /** Runs the job on the simulated devices; undefined when it was stopped or went wrong, which is told. */
  async function simulated(
    job: Job,
    order: Partial<CallArgs<'run'>>,
  ): Promise<RunReport | undefined> {
    marksByHand.value = false;
    share.value = 0;
    const done = await answerOf(
      calls.call('run', { job, seed, accept: [], ...order }, (part, at) => {
        share.value = part;
        doing.value = at;
      }),
    );
    if (done?.ok) return done.value;
    if (done) messages.sayProblem(done.problem);
    return undefined;
  }

  /** Cuts the sheet as it was laid in, by the marks that a hand has shown. */
  async function cutByHand(align: readonly Point[]): Promise<void> {
    const { job } = store;
    const before = report.value;
    const at = sheet.value;
    if (!job || !before) return;
    const { missed, turned, ...others } = faults.value;
    void [missed, turned]; // the sensor is not asked, and hands have seen to the sheet
    const done = await simulated(job, { align: [...align], only: [at], faults: others });
    const [cut] = done?.sheets ?? [];
    if (!cut) return;
    report.value = {
      ...before,
      sheets: before.sheets.map((one, index) => (index === at ? cut : one)),
    };
  }

  async function rehearse(): Promise<void> {
    const { job } = store;
    if (!job || running.value) return;
    await store.flush();
    report.value = undefined;
    seed = Math.floor(Math.random() * 1e9);
    const done = await simulated(job, { faults: { ...faults.value } });
    if (!done) return;
    report.value = done;
    sheet.value = 0;
    rehearsed();
  }

  return {
    report,
    running,
    share,
    doing,
    sheet,
    faults,
    marksByHand,
    rehearse,
    cutByHand,
    cancel,
  };
}
