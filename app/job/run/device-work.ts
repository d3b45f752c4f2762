import { ref } from 'vue';
import type { Doing, Problem } from '../../../core/base/index.ts';
import { doingText } from '../../../messages/index.ts';
import type { AtWork } from '../../session/bridge.ts';

/** What the devices of a run are at, one thing at a time. */
export function useDeviceWork() {
  const busy = ref(false);
  const share = ref(0);
  const doing = ref('');
  /** Whether the work of the step that is next was begun and broken off. */
  const broken = ref(false);
  let atWork: AtWork | undefined;

  function tell(part: number, at: Doing): void {
    share.value = part;
    doing.value = doingText(at);
  }

  /** Waits for a device. Gives what kept it from its work; undefined when it did it. */
  async function waitFor(work: AtWork): Promise<Problem | undefined> {
    atWork = work;
    const came = await work.done.finally(() => (atWork = undefined));
    return came.ok ? undefined : came.problem;
  }

  const cancel = (): void => atWork?.cancel();

  return { busy, share, doing, broken, tell, waitFor, cancel };
}

export type DeviceWork = ReturnType<typeof useDeviceWork>;
