<script setup lang="ts">
import { computed, ref } from 'vue';
import { MEASURES, type SizedBy } from '../../../../core/job/index.ts';
import { formatLength } from '../../../../core/units/index.ts';
import { texts } from '../../../texts/index.ts';
import CardPanel from '../../../ui/CardPanel.vue';
import LengthRow from '../../../ui/LengthRow.vue';
import LinkButton from '../../../ui/LinkButton.vue';
import NumberRow from '../../../ui/NumberRow.vue';
import SelectRow from '../../../ui/SelectRow.vue';
import { useSettings } from '../../../ui/settings-store.ts';
import type { AllEdgesState } from './all-edges-state.ts';

/** The chosen pieces of one height, width, longer side or area, and how much of a sheet they take. */
const props = defineProps<{ all: AllEdgesState }>();
const settings = useSettings();
const say = texts.allEdges;
const { chosen, ids, area, placed } = props.all;
const by = ref<Exclude<SizedBy, 'own'>>('longer');
const MM2_PER_CM2 = 100;

const measured = computed(() => chosen.value.map(MEASURES[by.value]));
const most = computed(() => Math.max(...measured.value));
const said = (value: number): string =>
  by.value === 'area' ? areaText(value) : formatLength(value, settings.unit);
const areaText = (mm2: number): string => `${Math.round(mm2 / MM2_PER_CM2)} cm²`;
const sheets = computed(() => say.sheets(props.all.store.committedLayout?.sheets.length ?? 0));

function size(value: number): void {
  const args = { pieces: ids.value, by: by.value, value };
  void props.all.act({ name: 'size-pieces', args }, `size:${by.value}`);
}

function asTheyCame(): void {
  void props.all.act({ name: 'size-pieces', args: { pieces: ids.value, by: 'own', value: 0 } });
}
</script>

<template>
  <CardPanel :title="say.size" peeled>
    <SelectRow v-model="by" :label="say.by" :choices="say.ways" />
    <NumberRow
      v-if="by === 'area'"
      :label="say.measures.area"
      suffix="cm²"
      :model-value="Math.round(most) / MM2_PER_CM2"
      :digits="1"
      :min="0.1"
      :max="5000"
      @update:model-value="size($event * MM2_PER_CM2)"
    />
    <LengthRow
      v-else
      :label="say.measures[by]"
      :model-value="most"
      :min="2"
      :max="1000"
      @update:model-value="size"
    />
    <p class="quiet">{{ say.range(said(Math.min(...measured)), said(most)) }}</p>
    <p>{{ say.together(areaText(area.covered), sheets) }}</p>
    <p v-if="placed" class="quiet">{{ say.byHand(placed) }}</p>
    <LinkButton @click="asTheyCame">{{ say.own }}</LinkButton>
  </CardPanel>
</template>

<style scoped>
p {
  margin: 2px 0;
}
</style>
