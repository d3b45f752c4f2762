import { onBeforeUnmount, shallowRef, watch } from 'vue';
import { Cancelled } from '../../../core/base/index.ts';
import type { ComparedSheets, Job } from '../../../core/job/index.ts';
import { calls, type Ongoing } from '../../calls/index.ts';
import { useStockRoom } from '../../session/stock-room-store.ts';
import { searchesFirst } from './nesting.ts';

const QUIET = 400; // ms without a change before ways are compared again

/** Ways to fill the sheets of a job and copies against size, compared in a worker when it is quiet. */
export function useComparison(job: () => Job | undefined, problem: (error: unknown) => void) {
  const room = useStockRoom();
  const found = shallowRef<ComparedSheets>();
  let timer: ReturnType<typeof setTimeout> | undefined;
  let ongoing: Ongoing<'compareSheets'> | undefined;

  async function ask(now: Job): Promise<void> {
    await room.start();
    ongoing?.cancel();
    const onHand = room.room.supplies.map(({ stock, material }) => ({ stock, material }));
    const asked = calls.call('compareSheets', { job: now, onHand });
    ongoing = asked;
    try {
      const answer = await asked.answer;
      if (ongoing === asked) found.value = answer;
    } catch (error) {
      if (!(error instanceof Cancelled)) problem(error);
    }
  }

  watch(
    [
      () => job()?.plan,
      () => job()?.stock,
      () => job()?.material,
      () => sizesOf(job()),
      searchesFirst,
    ],
    () => {
      clearTimeout(timer);
      const now = job();
      if (now && !searchesFirst.value)
        timer = setTimeout(() => void ask(now), found.value ? QUIET : 0);
    },
    { immediate: true },
  );
  onBeforeUnmount(() => {
    clearTimeout(timer);
    ongoing?.cancel();
  });

  return found;
}

/** What of the pieces counts for how many lie on a sheet. */
const sizesOf = (job: Job | undefined): string =>
  JSON.stringify(job?.pieces.map(({ id, edge, bleed }) => [id, edge, bleed]));
