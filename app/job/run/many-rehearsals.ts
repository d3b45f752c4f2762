import { onBeforeUnmount, ref } from 'vue';
import { Cancelled, expectOk } from '../../../core/base/index.ts';
import type { Job } from '../../../core/job/index.ts';
import { allChances, type Chances } from '../../../core/run/index.ts';
import { artCalls, calls, type Ongoing } from '../../calls/index.ts';
import { useMessages } from '../../ui/messages-store.ts';

const TIMES = 200;

/** Rehearses a sheet many times, in two workers, each with a half and with seeds of its own. */
export function useManyRehearsals() {
  const messages = useMessages();
  const running = ref(false);
  const share = ref(0);
  let ongoing: Ongoing<'rehearse'>[] = [];

  /** @returns undefined when it was stopped, or failed and was told */
  async function rehearse(job: Job, sheet: number): Promise<Chances | undefined> {
    if (running.value) return undefined;
    running.value = true;
    share.value = 0;
    const half = { job, sheet, times: TIMES / 2 };
    ongoing = [calls, artCalls].map((host, at) =>
      host.call('rehearse', { ...half, seed: 1 + at * 1_000_003 }, (part) => {
        if (at === 0) share.value = part;
      }),
    );
    try {
      const parts = await Promise.all(ongoing.map(({ answer }) => answer));
      return allChances(parts.map(expectOk));
    } catch (error) {
      if (!(error instanceof Cancelled)) messages.sayError(error);
      return undefined;
    } finally {
      running.value = false;
    }
  }

  function stop(): void {
    for (const one of ongoing) one.cancel();
    ongoing = [];
  }
  onBeforeUnmount(stop);

  return { running, share, rehearse, stop };
}
