import { onBeforeUnmount } from 'vue';
import type { useJobStore } from './store/job-store.ts';

/** Whether a key is being typed into a field. */
export function isTyping(event: KeyboardEvent): boolean {
  return (
    (event.target as Element | null)?.closest('input, textarea, select, [contenteditable]') !== null
  );
}

/** Undo and redo by keys, wherever the job is open. */
export function useJobKeys(store: ReturnType<typeof useJobStore>): void {
  const hear = (event: KeyboardEvent): void => {
    if (!(event.ctrlKey || event.metaKey) || isTyping(event)) return;
    const key = event.key.toLowerCase();
    const again = key === 'y' || (key === 'z' && event.shiftKey);
    if (!again && key !== 'z') return;
    event.preventDefault();
    if (again) store.redo();
    else store.undo();
  };
  addEventListener('keydown', hear);
  onBeforeUnmount(() => removeEventListener('keydown', hear));
}
