import { shallowRef, watchEffect, type ShallowRef } from 'vue';
import { useJobStore } from './store/job-store.ts';

/** Something as it stands without what is only shown: what stands beside the desk keeps still meanwhile. */
export function useStill<T>(value: () => T): ShallowRef<T> {
  const store = useJobStore();
  const still = shallowRef(value());
  watchEffect(() => {
    if (store.job === store.settled) still.value = value();
  });
  return still;
}
