import { shallowRef, watchEffect, type ShallowRef } from 'vue';
import { useJobStore } from '../../session/job-store.ts';

/** Something as it stands without what is only shown: what stands beside the desk keeps still meanwhile. */
export function useCommitted<T>(value: () => T): ShallowRef<T> {
  const store = useJobStore();
  const committed = shallowRef(value());
  watchEffect(() => {
    if (store.job === store.committed) committed.value = value();
  });
  return committed;
}
