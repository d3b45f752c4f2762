import { computed, ref, shallowRef, watch } from 'vue';
import { isSame } from '../../core/base/index.ts';
import type { Job, SheetGroup } from '../../core/job/index.ts';
import type { Finding } from '../../core/proof/index.ts';
import type { Cutter } from '../../core/stock/index.ts';
import { proofCalls } from '../calls/index.ts';

const QUIET = 350; // ms without a change before the proof is asked again

/** What is proved: the thing that is worked on, and the other groups of sheets of its set. */
export interface Proved {
  readonly job: () => Job | undefined;
  readonly machine: () => Cutter | undefined;
  /** Which of several things of the job it is. */
  readonly thing?: () => string;
  readonly others?: () => readonly SheetGroup[];
}

/** What was found of another group, as it was then. */
interface FoundOf {
  readonly job: Job;
  readonly machine: Cutter | undefined;
  readonly found: readonly Finding[];
}

const isOpen = ({ accepted }: Finding): boolean => accepted === undefined;

/**
 * The findings of a job for the cutter that is chosen, asked anew in a worker when it has been quiet.
 * One question is under way at a time; what changes meanwhile is asked next, and answers about another
 * job are dropped. The other things of a set are asked about after the one that is worked on.
 */
export function useFindings({ job, machine, thing = () => '', others = () => [] }: Proved) {
  const found = shallowRef<readonly Finding[]>([]);
  /** Those that nobody has taken as they are. */
  const list = computed(() => found.value.filter(isOpen));
  const accepted = computed(() => found.value.filter((one) => !isOpen(one)));
  const elsewhere = shallowRef<ReadonlyMap<string, FoundOf>>(new Map());
  /** The groups of sheets beside the one that is worked on, with what is to be said of them. */
  const ofOthers = computed(() =>
    others().map(({ id, name }) => ({
      id,
      name,
      list: elsewhere.value.get(id)?.found.filter(isOpen) ?? [],
    })),
  );
  const looking = ref(false);
  let asking = false;
  let next: Job | undefined;
  let timer: ReturnType<typeof setTimeout> | undefined;

  const findingsOf = (asked: Job): Promise<readonly Finding[] | undefined> =>
    proofCalls
      .call('findings', { job: asked, machine: machine() })
      .answer.catch((error: unknown) => {
        console.warn(error);
        return undefined;
      });

  async function ask(): Promise<void> {
    if (asking) return;
    asking = true;
    for (let asked = next; asked; asked = next) {
      next = undefined;
      const of = thing();
      const answer = await findingsOf(asked);
      if (answer && job()?.id === asked.id && thing() === of) found.value = answer;
      if (!next) looking.value = false;
      await askOthers();
    }
    asking = false;
  }

  /** Asks about each other group that has changed, until something else is to be asked. */
  async function askOthers(): Promise<void> {
    for (const { id, job: seen } of others()) {
      if (next) return;
      const asked = { job: seen, machine: machine() };
      const known = elsewhere.value.get(id);
      if (known && isSame([known.job, known.machine], [asked.job, asked.machine])) continue;
      const answer = await findingsOf(seen);
      if (answer && job()?.id === seen.id)
        elsewhere.value = new Map([...elsewhere.value, [id, { ...asked, found: answer }]]);
    }
  }

  watch([job, machine, thing] as const, ([now, , of], [before, , from]) => {
    clearTimeout(timer);
    if (now?.id !== before?.id || of !== from) found.value = elsewhere.value.get(of)?.found ?? [];
    if (now?.id !== before?.id) [found.value, elsewhere.value] = [[], new Map()];
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

  return { found, list, accepted, ofOthers, looking };
}
