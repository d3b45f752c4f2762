<script setup lang="ts">
import { computed, useId } from 'vue';
import { pathData } from '../../core/drawing/index.ts';
import { boxAbout } from '../../core/geometry/index.ts';
import { compileAsRow, type Job } from '../../core/job/index.ts';
import { rowInTurn } from '../../core/sheet/index.ts';
import type { ZoneRoom } from '../../core/things/index.ts';
import { pageCompiler, pageSources, resourceVersion } from './page-resources.ts';
import DrawnPicture from '../ui/DrawnPicture.vue';

/**
 * A piece as it will be in the hand: filled by the first row of a list, cut along its edge, on the paper's
 * colour; of a label that is divided a room of it as that is read. Lines over it go into the slot, in mm.
 */
const props = defineProps<{
  job: Job;
  piece: string;
  room?: ZoneRoom | undefined;
  /** The row that fills it, by its key: the first unless given. */
  row?: string | undefined;
}>();
const compiled = computed(() => {
  const found = props.job.pieces.find(({ id }) => id === props.piece);
  const { list } = props.job;
  const row = list?.rows.find(({ key }) => key === props.row) ?? rowInTurn(list, 1);
  return found && compileAsRow(props.job, pageCompiler, { piece: found, row });
});
const box = computed(
  () => compiled.value && boxAbout({ x: 0, y: 0 }, compiled.value.width, compiled.value.height),
);
/** Enough for the largest, on a fine screen. */
const PIXELS = 500;
const clip = useId();
const trim = computed(() => (compiled.value ? pathData(compiled.value.trim) : ''));
const RIM = 0.5; // mm around what is seen
const view = computed(() => {
  const { width, height } = props.room ?? compiled.value ?? { width: 1, height: 1 };
  return `${-width / 2 - RIM} ${-height / 2 - RIM} ${width + 2 * RIM} ${height + 2 * RIM}`;
});
const turn = computed(() => {
  const { room } = props;
  return room && `rotate(${-room.angle}) translate(${-room.centre.x} ${-room.centre.y})`;
});
</script>

<template>
  <svg v-if="compiled" :viewBox="view" aria-hidden="true">
    <clipPath :id="clip"><path :d="trim" /></clipPath>
    <g :transform="turn">
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
    </g>
  </svg>
</template>

<style scoped>
.paper {
  filter: drop-shadow(0 0.6px 1.2px #44203d40);
}
</style>
