import { onBeforeUnmount } from 'vue';
import type { CommandCall } from '../../../core/job/index.ts';
import { useJobStore } from '../../session/job-store.ts';

/**
 * After a step is done what lies under the pointer may be something else, which was not pointed at:
 * nothing is shown until the pointer moves again, or a key is pressed.
 */
let resting = false;

/** Steps that are shown on the desk while they are pointed at or focused, before they are done. */
export function useShownSteps() {
  const store = useJobStore();
  const wake = (): void => void (resting = false);
  addEventListener('pointermove', wake, true);
  addEventListener('keydown', wake, true);
  onBeforeUnmount(() => {
    removeEventListener('pointermove', wake, true);
    removeEventListener('keydown', wake, true);
    store.cancel();
  });

  const show = (call: CommandCall | undefined) => (): void => {
    if (call && !resting) store.previewOnHover(call);
  };
  const drop = (): void => store.cancel();

  /** What a button listens to, besides the click that does its step. */
  const pointed = (call: CommandCall | undefined) => ({
    pointerenter: show(call),
    pointerleave: drop,
    focusin: show(call),
    focusout: drop,
  });

  /** Ends what is shown, because something is done. */
  function rest(): void {
    resting = true;
    store.cancel();
  }

  function act(call: CommandCall | undefined): void {
    rest();
    if (call) store.act(call);
  }

  return { pointed, rest, act };
}
