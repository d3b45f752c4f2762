import { computed, ref, shallowRef, watch } from 'vue';
import type { Job } from '../../core/job/index.ts';
import type { Finding } from '../../core/proof/index.ts';
import type { Cutter } from '../../core/stock/index.ts';
import { proofCalls } from '../calls/index.ts';

const QUIET = 350; // ms without a change before the proof is asked again

/**
 * The findings of a job for the cutter that is chosen, asked anew in a worker when it has been quiet.
 * One question is under way at a time; what changes meanwhile is asked next, and answers about another
 * job are dropped.
 */
export function useFindings(
  job: () => Job | undefined,
  machine: () => Cutter | undefined,
  /** Which of several things of the job it is. */
  thing: () => string = () => '',
) {
  const found = shallowRef<readonly Finding[]>([]);
  /** Those that nobody has taken as they are. */
  const list = computed(() => found.value.filter(({ accepted }) => accepted === undefined));
  const accepted = computed(() => found.value.filter((one) => one.accepted !== undefined));
  const looking = ref(false);
  let asking = false;
  let next: Job | undefined;
  let timer: ReturnType<typeof setTimeout> | undefined;

  async function ask(): Promise<void> {
    if (asking) return;
    asking = true;
    for (let asked = next; asked; asked = next) {
      next = undefined;
      const of = thing();
      const answer = await proofCalls
        .call('findings', { job: asked, machine: machine() })
        .answer.catch((error: unknown) => {
          console.warn(error);
          return undefined;
        });
      if (answer && job()?.id === asked.id && thing() === of) found.value = answer;
    }
    asking = false;
    looking.value = false;
  }

  watch([job, machine, thing] as const, ([now, , of], [before, , from]) => {
    clearTimeout(timer);
    if (now?.id !== before?.id || of !== from) found.value = [];
    if (!now) return;
    looking.value = true;
    timer = setTimeout(
      () => {
        next = now;
        void ask();
      },
      before ? QUIET : 0,
    );
  });

  return { found, list, accepted, looking };
}
