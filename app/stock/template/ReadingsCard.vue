<script setup lang="ts">
import { texts } from '../../texts/index.ts';
import CardPanel from '../../ui/CardPanel.vue';
import ChoicesRow from '../../ui/ChoicesRow.vue';
import LengthRow from '../../ui/LengthRow.vue';
import NumberRow from '../../ui/NumberRow.vue';
import type { useReadings } from './readings.ts';
import ReadingRow from './ReadingRow.vue';

/** What the ruler reads from a bought sheet; what is left empty is derived. */
const props = defineProps<{ readings: ReturnType<typeof useReadings> }>();
const { draft, round, derived } = props.readings;
const words = texts.stock.own;
const DIRECTIONS = ['across', 'down'] as const;
</script>

<template>
  <CardPanel :title="words.readings">
    <ChoicesRow v-model="draft.shape" :label="texts.edge.shape" :choices="texts.artwork.shapes" />
    <LengthRow
      v-if="draft.shape === 'rectangle'"
      v-model="draft.radius"
      :label="words.radius"
      :min="0"
      :max="200"
    />
    <LengthRow
      v-model="draft.stagger"
      :label="words.stagger"
      :name="words.staggerLong"
      :min="0"
      :max="500"
    />
    <template v-for="way in DIRECTIONS" :key="way">
      <h3>{{ words[way].title }}</h3>
      <LengthRow v-model="draft[way].sheet" :label="words[way].sheet" :min="10" :max="2000" />
      <NumberRow
        v-model="draft[way].count"
        :label="words[way].count"
        :min="1"
        :max="way === 'across' ? 100 : 200"
      />
      <ReadingRow
        v-if="way === 'across' || !round"
        v-model="draft[way].size"
        :label="round ? words.diameter : words[way].size"
        :derived="derived[way]?.size"
      />
      <ReadingRow
        v-model="draft[way].pitch"
        :label="words[way].pitch"
        :derived="derived[way]?.pitch"
      />
      <ReadingRow v-model="draft[way].gap" :label="words[way].gap" :derived="derived[way]?.gap" />
      <ReadingRow
        v-model="draft[way].first"
        :label="words[way].first"
        :derived="derived[way]?.first"
      />
      <ReadingRow
        v-model="draft[way].last"
        :label="words[way].last"
        :derived="derived[way]?.last"
      />
    </template>
  </CardPanel>
</template>

<style scoped>
h3 {
  margin: 12px 0 2px;
  font-size: 13.5px;
}
</style>
