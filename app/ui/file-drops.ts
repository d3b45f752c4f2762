import { onBeforeUnmount, ref } from 'vue';

/** Files dropped onto a place, or pasted while it is shown. */
export function useFileDrops(take: (files: readonly File[]) => void) {
  const over = ref(false);

  function drop(event: DragEvent): void {
    over.value = false;
    take([...(event.dataTransfer?.files ?? [])]);
  }

  function paste(event: ClipboardEvent): void {
    const files = [...(event.clipboardData?.files ?? [])];
    if (files.length === 0) return;
    event.preventDefault();
    take(files);
  }
  addEventListener('paste', paste);
  onBeforeUnmount(() => removeEventListener('paste', paste));

  return { over, drop };
}
