import { defineStore } from 'pinia';
import { computed, ref } from 'vue';
import type { WaySeen } from '../../core/color/index.ts';

/** How prints are looked at on the desks; as on the screen again when the page is loaded anew. */
export const useSeenAs = defineStore('seen-as', () => {
  const way = ref<WaySeen | 'screen'>('screen');
  const filter = computed(() => (way.value === 'screen' ? undefined : 'url(#seen-as)'));
  return { way, filter };
});
