import { computed, shallowRef } from 'vue';
import { Cancelled } from '../../core/base/index.ts';
import type { CallAnswer, CallName } from '../../core/calls.ts';
import { useMessages } from './messages-store.ts';
import type { Ongoing } from '../calls/index.ts';

/** One call at a time that a view waits for; what goes wrong is told. */
export function useOneCall() {
  const messages = useMessages();
  const ongoing = shallowRef<{ cancel(): void }>();

  /** @returns undefined when it was stopped, or failed and was told */
  async function answerOf<N extends CallName>(
    call: Ongoing<N>,
  ): Promise<CallAnswer<N> | undefined> {
    ongoing.value = call;
    try {
      return await call.answer;
    } catch (error) {
      if (!(error instanceof Cancelled)) messages.sayError(error);
      return undefined;
    } finally {
      ongoing.value = undefined;
    }
  }

  return {
    busy: computed(() => ongoing.value !== undefined),
    answerOf,
    cancel: (): void => ongoing.value?.cancel(),
  };
}
