<script setup lang="ts">
import { computed } from 'vue';
import { useJobStore } from '../../session/job-store.ts';
import { texts } from '../../texts/index.ts';
import CardPanel from '../../ui/CardPanel.vue';
import CheckRow from '../../ui/CheckRow.vue';
import type { useSeenAs } from '../../ui/seen-as.ts';
import SelectRow from '../../ui/SelectRow.vue';
import { LAYERS, type Layer } from './layers.ts';

/** How the page is looked at, and what is drawn over it. */
const way = defineModel<ReturnType<typeof useSeenAs>['way']>('way', { required: true });
const onStock = defineModel<boolean>('onStock', { required: true });
const layers = defineModel<ReadonlySet<Layer>>('layers', { required: true });
const store = useJobStore();

/** Of the layers those that the job has anything for. */
const offered = computed(() =>
  LAYERS.filter((layer) => layer !== 'used' || (store.job?.plan.usedLabels.length ?? 0) > 0),
);

function toggle(layer: Layer): void {
  const { value: now } = layers;
  layers.value = new Set(LAYERS.filter((one) => (one === layer ? !now.has(one) : now.has(one))));
}
</script>

<template>
  <CardPanel :title="texts.seenAs.title">
    <SelectRow v-model="way" :label="texts.proof.proof" :choices="texts.seenAs.ways" />
    <CheckRow v-model="onStock" :label="texts.proof.onStock(store.job?.material.name ?? '')" />
  </CardPanel>
  <CardPanel v-if="store.job?.material.mirrored" :title="texts.proof.mirrored">
    <p class="plain">{{ texts.proof.mirroredWhy(store.job.material.name) }}</p>
  </CardPanel>
  <CardPanel :title="texts.proof.over">
    <CheckRow
      v-for="layer in offered"
      :key="layer"
      :label="texts.proof.layers[layer]"
      :model-value="layers.has(layer)"
      @update:model-value="toggle(layer)"
    />
  </CardPanel>
</template>

<style scoped>
.plain {
  margin: 0;
}
</style>
