<script setup lang="ts">
import { boxAbout, grown } from '../../../core/geometry/index.ts';
import type { CompiledElement } from '../../../core/piece/index.ts';
import { drawnBox, useDrawnPicture } from '../../ui/drawn-picture.ts';
import { pageSources, resourceVersion } from '../../session/page-resources.ts';

/** What is to be seen of an element: of words only the letters, as their circle may be large. */
const props = defineProps<{ compiled: CompiledElement }>();
const url = useDrawnPicture(() => {
  void resourceVersion.value;
  const { words, width, height, nodes } = props.compiled;
  return drawnBox(nodes, grown(words?.ink ?? boxAbout({ x: 0, y: 0 }, width, height), 0.5));
}, pageSources);
</script>

<template>
  <img :src="url" alt="" draggable="false" />
</template>

<style scoped>
img {
  display: block;
  width: 100%;
  height: 100%;
  object-fit: contain;
}
</style>
