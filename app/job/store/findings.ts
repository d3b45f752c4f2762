import { ref, shallowRef, watch } from 'vue';
import { Cancelled } from '../../../core/base/index.ts';
import type { Job } from '../../../core/job/index.ts';
import type { Finding } from '../../../core/proof/index.ts';
import { proofCalls, type Ongoing } from '../../calls/index.ts';

const QUIET = 350; // ms without a change before the proof is asked again

/** The findings of a job, asked anew in a worker when it has been quiet; older answers are dropped. */
export function useFindings(job: () => Job | undefined) {
  const list = shallowRef<readonly Finding[]>([]);
  const looking = ref(false);
  let ongoing: Ongoing<'findings'> | undefined;
  let timer: ReturnType<typeof setTimeout> | undefined;

  async function ask(asked: Job): Promise<void> {
    ongoing?.cancel();
    const mine = proofCalls.call('findings', { job: asked });
    ongoing = mine;
    try {
      const found = await mine.answer;
      if (ongoing !== mine) return;
      list.value = found;
      looking.value = false;
    } catch (error) {
      if (ongoing !== mine) return;
      looking.value = false;
      if (!(error instanceof Cancelled)) console.warn(error);
    }
  }

  watch(job, (now, before) => {
    clearTimeout(timer);
    if (now?.id !== before?.id) list.value = [];
    if (!now) return;
    looking.value = true;
    timer = setTimeout(() => void ask(now), before ? QUIET : 0);
  });

  return { list, looking };
}
