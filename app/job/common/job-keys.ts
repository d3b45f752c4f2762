import { onBeforeUnmount } from 'vue';
import type { Point } from '../../../core/geometry/index.ts';
import { findArrow } from '../../ui/arrow-keys.ts';
import type { useJobStore } from '../../session/job-store.ts';

/** Whether a key is being typed into a field. */
export function isTyping(event: KeyboardEvent): boolean {
  return (
    (event.target as Element | null)?.closest(
      'input:not([type="checkbox"]), textarea, select, [contenteditable]',
    ) !== null
  );
}

/** How far an arrow key moves what is selected, mm: 1, with Shift 10, with Ctrl 0.1. */
export function findNudge(
  event: Pick<KeyboardEvent, 'key' | 'shiftKey' | 'ctrlKey' | 'metaKey'>,
): Point | undefined {
  return findArrow(event.key, event.shiftKey ? 10 : event.ctrlKey || event.metaKey ? 0.1 : 1);
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
