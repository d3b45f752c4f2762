import { onScopeDispose, shallowRef, watch, type ShallowRef } from 'vue';

const QUIET = 250; // ms without a change: between two letters of somebody who types

/** What changes with every key as it is when it rests, for what takes too long to follow each of them. */
export function useWhenQuiet<T>(source: () => T, quiet = QUIET): Readonly<ShallowRef<T>> {
  const rested = shallowRef(source()) as ShallowRef<T>;
  let timer: ReturnType<typeof setTimeout> | undefined;
  watch(source, (now) => {
    clearTimeout(timer);
    timer = setTimeout(() => (rested.value = now), quiet);
  });
  onScopeDispose(() => clearTimeout(timer));
  return rested;
}
