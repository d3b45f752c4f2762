import { defineStore } from 'pinia';
import { shallowRef, watch } from 'vue';
import type { FilePlace } from '../ui/file-place.ts';

/** Files that were dropped on one view and belong into another, until that one takes them. */
export const useHandedFiles = defineStore('handed-files', () => {
  const waiting = shallowRef<{ place: FilePlace; files: readonly File[] }>();

  function hand(place: FilePlace, files: readonly File[]): void {
    waiting.value = { place, files };
  }

  /** Takes what is handed to a place from now on, and what waits for it already. */
  function takeAt(place: FilePlace, take: (files: readonly File[]) => void): void {
    watch(
      waiting,
      (handed) => {
        if (handed?.place !== place) return;
        waiting.value = undefined;
        take(handed.files);
      },
      { immediate: true, flush: 'post' },
    );
  }

  return { waiting, hand, takeAt };
});
