<script setup lang="ts">
import { computed, useId } from 'vue';
import { pathData } from '../../core/drawing/index.ts';
import { boxAbout } from '../../core/geometry/index.ts';
import type { PieceSource } from '../../core/piece/index.ts';
import { pageCompiler, pageSources, resourceVersion } from './page-resources.ts';
import DrawnPicture from '../ui/DrawnPicture.vue';

/** A piece as it will be in the hand: cut along its edge, on the paper's colour. Lines over it go into the slot, in mm. */
const props = defineProps<{ job: PieceSource & { material: { color: string } }; piece: string }>();
const compiled = computed(() => {
  const found = props.job.pieces.find(({ id }) => id === props.piece);
  return found && pageCompiler.compile(found, props.job);
});
const box = computed(
  () => compiled.value && boxAbout({ x: 0, y: 0 }, compiled.value.width, compiled.value.height),
);
/** Enough for the largest, on a fine screen. */
const PIXELS = 500;
const clip = useId();
const trim = computed(() => (compiled.value ? pathData(compiled.value.trim) : ''));
</script>

<template>
  <svg
    v-if="compiled"
    :viewBox="`${-compiled.width / 2 - 0.5} ${-compiled.height / 2 - 0.5} ${compiled.width + 1} ${compiled.height + 1}`"
    aria-hidden="true"
  >
    <clipPath :id="clip"><path :d="trim" /></clipPath>
    <path class="paper" :d="trim" :fill="job.material.color" />
    <g :clip-path="`url(#${clip})`">
      <DrawnPicture
        v-if="box"
        :nodes="compiled.nodes"
        :box="box"
        :sources="pageSources"
        :version="resourceVersion"
        :most="PIXELS"
      />
    </g>
    <slot />
  </svg>
</template>

<style scoped>
.paper {
  filter: drop-shadow(0 0.6px 1.2px #44203d40);
}
</style>
