import { computed, onScopeDispose, ref, watch, type ComputedRef } from 'vue';

/** A list of which some more are there with each frame, so that no frame has to make all that they show. */
export function useGradually<T>(list: () => readonly T[], step: number): ComputedRef<readonly T[]> {
  const shown = ref(step);
  let frame = 0;
  const grow = (): void => {
    shown.value += step;
    frame = shown.value < list().length ? requestAnimationFrame(grow) : 0;
  };
  watch(
    () => list().length,
    (length) => {
      if (!frame && shown.value < length) frame = requestAnimationFrame(grow);
    },
    { immediate: true },
  );
  onScopeDispose(() => cancelAnimationFrame(frame));
  return computed(() => list().slice(0, shown.value));
}
