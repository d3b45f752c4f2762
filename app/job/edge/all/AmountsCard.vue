<script setup lang="ts">
import { computed } from 'vue';
import { mostOfEach } from '../../../../core/job/index.ts';
import { isByRow } from '../../../../core/sheet/index.ts';
import { texts } from '../../../texts/index.ts';
import CardPanel from '../../../ui/CardPanel.vue';
import LinkButton from '../../../ui/LinkButton.vue';
import NumberRow from '../../../ui/NumberRow.vue';
import type { AllEdgesState } from './all-edges-state.ts';

/** How many copies of the chosen pieces are wanted: of each, in all, or as many as a sheet takes. */
const props = defineProps<{ all: AllEdgesState }>();
const say = texts.allEdges;
const { store } = props.all;
/** What a list counts is counted there. */
const counted = computed(() => {
  const { committed: job } = store;
  return job ? props.all.ids.value.filter((id) => !isByRow(job, id)) : [];
});
const counts = computed(() => counted.value.map((id) => store.committed?.plan.wanted[id] ?? 0));
const sum = computed(() => counts.value.reduce((all, one) => all + one, 0));

function want(args: { each?: number; sum?: number }): void {
  const key = `want:${Object.keys(args).join()}`;
  store.act({ name: 'want-pieces', args: { pieces: counted.value, ...args } }, key);
}

/** As many of each as one sheet takes. */
function fill(): void {
  if (store.committed) want({ each: mostOfEach(store.committed, counted.value) });
}
</script>

<template>
  <CardPanel v-if="counted.length" :title="say.amounts">
    <NumberRow
      :label="say.each"
      :model-value="Math.max(...counts)"
      :min="0"
      :max="5000"
      @update:model-value="want({ each: $event })"
    />
    <NumberRow
      :label="say.inAll"
      :model-value="sum"
      :min="0"
      :max="5000 * counted.length"
      @update:model-value="want({ sum: $event })"
    />
    <p class="next">
      <LinkButton @click="fill">{{ say.fill }}</LinkButton>
      <router-link class="link" :to="{ name: 'sheet' }">{{ say.toSheet }}</router-link>
    </p>
  </CardPanel>
</template>

<style scoped>
.next {
  display: flex;
  flex-wrap: wrap;
  justify-content: space-between;
  gap: 2px 14px;
  margin: 4px 0 0;
}
</style>
