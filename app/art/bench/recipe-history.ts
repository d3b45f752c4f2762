import { computed, shallowRef, type ShallowRef } from 'vue';

/** Changes of the same kind that follow each other so fast, in ms, are one step. */
const TOGETHER = 600;

/** What a value was before each change of it, to go back and forth. */
export function useHistory<T extends object>(value: ShallowRef<T>) {
  const past = shallowRef<readonly T[]>([]);
  const future = shallowRef<readonly T[]>([]);
  let last = { keys: '', at: -Infinity };

  /** Changes some of it; a slider that is dragged is one step. */
  function change(changes: Partial<T>): void {
    const keys = Object.keys(changes).join();
    const now = Date.now();
    const isSame = keys === last.keys && now - last.at < TOGETHER;
    if (!isSame) past.value = [...past.value, value.value];
    last = { keys, at: now };
    future.value = [];
    value.value = { ...value.value, ...changes };
  }

  /** Changes it by a step of its own, however soon it follows. */
  function step(changes: Partial<T>): void {
    last = { keys: '', at: -Infinity };
    change(changes);
    last = { keys: '', at: -Infinity };
  }

  function undo(): void {
    const before = past.value[past.value.length - 1];
    if (!before) return;
    future.value = [...future.value, value.value];
    past.value = past.value.slice(0, -1);
    last = { keys: '', at: -Infinity };
    value.value = before;
  }

  function redo(): void {
    const next = future.value[future.value.length - 1];
    if (!next) return;
    past.value = [...past.value, value.value];
    future.value = future.value.slice(0, -1);
    value.value = next;
  }

  function forget(): void {
    [past.value, future.value] = [[], []];
    last = { keys: '', at: -Infinity };
  }

  const canUndo = computed(() => past.value.length > 0);

  return { change, step, undo, redo, forget, canUndo };
}
