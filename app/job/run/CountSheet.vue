<script setup lang="ts">
import { computed } from 'vue';
import { pathData } from '../../../core/drawing/index.ts';
import { ringsPath } from '../../../core/geometry/index.ts';
import type { CompiledSheet } from '../../../core/sheet/index.ts';
import { texts } from '../../texts/index.ts';
import LabelPictures from './LabelPictures.vue';

/** A sheet whose labels are tapped when they cannot be used. */
const props = defineProps<{ sheet: CompiledSheet; spoiled: ReadonlySet<string> }>();
defineEmits<{ mark: [copy: string] }>();
const words = texts.run;
const labels = computed(() =>
  props.sheet.copies.map((copy) => {
    const { x, y, copy: name } = copy.placement;
    return {
      name,
      x,
      y,
      cross: Math.min(copy.piece.width, copy.piece.height) / 3,
      trim: pathData(ringsPath(copy.trim)),
    };
  }),
);
</script>

<template>
  <svg
    class="count"
    :viewBox="`0 0 ${sheet.drawing.width} ${sheet.drawing.height}`"
    :aria-label="words.tap"
    role="group"
  >
    <rect class="paper" :width="sheet.drawing.width" :height="sheet.drawing.height" />
    <LabelPictures :sheet="sheet" />
    <g
      v-for="label in labels"
      :key="label.name"
      class="label"
      :class="{ spoiled: spoiled.has(label.name) }"
      role="checkbox"
      tabindex="0"
      :data-label="label.name"
      :aria-checked="spoiled.has(label.name)"
      :aria-label="words.tapped(label.name, spoiled.has(label.name))"
      @click="$emit('mark', label.name)"
      @keydown.enter.prevent="$emit('mark', label.name)"
      @keydown.space.prevent="$emit('mark', label.name)"
    >
      <path class="trim" :d="label.trim" />
      <path
        v-if="spoiled.has(label.name)"
        class="cross"
        :transform="`translate(${label.x} ${label.y})`"
        :d="`M${-label.cross} ${-label.cross}L${label.cross} ${label.cross}M${label.cross} ${-label.cross}L${-label.cross} ${label.cross}`"
      />
    </g>
  </svg>
</template>

<style scoped>
.count {
  display: block;
  max-width: 100%;
  height: 100%;
  margin: 0 auto;
  border-radius: 3px;
  box-shadow: var(--shadow-paper);
}
.paper {
  fill: #fff;
}
.label {
  outline: none;
  cursor: pointer;
}
.label:focus-visible .trim {
  stroke: var(--apricot);
  stroke-width: 1.4;
}
.trim {
  fill: transparent;
  stroke: #5d2a5355;
  stroke-width: 0.4;
}
.label:hover .trim {
  stroke: #5d2a53;
}
.spoiled .trim {
  fill: #fff5f2cc;
  stroke: #b4432f;
}
.cross {
  fill: none;
  stroke: #b4432f;
  stroke-width: 1.6;
  stroke-linecap: round;
}
</style>
