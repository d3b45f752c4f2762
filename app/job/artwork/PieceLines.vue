<script setup lang="ts">
import { computed } from 'vue';
import { pathData } from '../../../core/drawing/index.ts';
import { ringsPath } from '../../../core/geometry/index.ts';
import { shapePath } from '../../../core/shape/index.ts';
import { edgeCut } from '../../../core/sheet/index.ts';
import type { BenchControls } from '../../ui/bench-view.ts';
import type { DeskState } from '../artwork-state/desk-state.ts';
import ZoneLayer from './ZoneLayer.vue';

/** Where a piece bleeds, is cut and is folded, what its legend names, and its zones. */
const props = defineProps<{ desk: DeskState; bench: BenchControls; px: number }>();
const compiled = computed(() => props.desk.compiled.value);
const cut = computed(() => {
  const plan = props.desk.store.job?.plan;
  return compiled.value && plan ? edgeCut(compiled.value, plan) : 'kiss';
});
const ring = computed(() =>
  compiled.value
    ? pathData(compiled.value.bleed) + pathData(shapePath(compiled.value.piece.edge))
    : '',
);
</script>

<template>
  <template v-if="compiled">
    <ZoneLayer v-if="desk.zones.value.length" :desk="desk" :bench="bench" :px="px" />
    <path class="bleed" :d="ring" />
    <path
      v-if="compiled.kissCuts.length"
      class="kiss"
      :d="pathData(ringsPath(compiled.kissCuts))"
    />
    <path :class="cut" :d="pathData(compiled.trim)" />
    <path
      v-for="(fold, index) in desk.folds.value"
      :key="`fold${index}`"
      class="fold"
      :d="`M${fold.map(({ x, y }) => `${x} ${y}`).join('L')}`"
    />
  </template>
</template>

<style scoped>
.bleed {
  fill: var(--apricot);
  fill-opacity: 0.3;
  fill-rule: evenodd;
  stroke: var(--apricot);
  stroke-width: 1px;
  vector-effect: non-scaling-stroke;
  pointer-events: none;
}
</style>
