<script setup lang="ts">
import { computed } from 'vue';
import { boxAbout, grown } from '../../../core/geometry/index.ts';
import type { CompiledElement } from '../../../core/piece/index.ts';
import DrawnPicture from '../../ui/DrawnPicture.vue';
import { pageSources, resourceVersion } from '../store/page-resources.ts';

/** What is to be seen of an element: of words only the letters, as their circle may be large. */
const props = defineProps<{ compiled: CompiledElement }>();
const box = computed(() => {
  const { words, width, height } = props.compiled;
  return grown(words?.ink ?? boxAbout({ x: 0, y: 0 }, width, height), 0.5);
});
const viewBox = computed(() => {
  const { left, top, right, bottom } = box.value;
  return `${left} ${top} ${right - left} ${bottom - top}`;
});
</script>

<template>
  <svg :viewBox="viewBox" aria-hidden="true">
    <DrawnPicture
      :nodes="compiled.nodes"
      :box="box"
      :sources="pageSources"
      :version="resourceVersion"
    />
  </svg>
</template>
