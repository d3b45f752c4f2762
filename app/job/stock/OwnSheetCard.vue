<script setup lang="ts">
import { computed } from 'vue';
import { tryDirection } from '../../../core/stock/index.ts';
import { texts } from '../../texts/index.ts';
import CardPanel from '../../ui/CardPanel.vue';
import ChoiceRow from '../../ui/ChoiceRow.vue';
import FactRow from '../../ui/FactRow.vue';
import LengthRow from '../../ui/LengthRow.vue';
import NumberRow from '../../ui/NumberRow.vue';
import type { useOwnSheet } from './own-sheet.ts';
import ReadingRow from './ReadingRow.vue';

/** What the ruler reads from a bought sheet; what is left empty is derived. */
const props = defineProps<{ sheet: ReturnType<typeof useOwnSheet> }>();
const draft = props.sheet.draft;
const words = texts.stock.own;
const derivedOf = (name: 'width' | 'height') => {
  const found = tryDirection(name, name === 'width' ? draft.across : draft.down);
  return found.ok ? found.value : undefined;
};
const across = computed(() => derivedOf('width'));
const down = computed(() => derivedOf('height'));
</script>

<template>
  <CardPanel :title="words.title" peeled>
    <input
      v-model="draft.name"
      class="well name"
      :aria-label="words.name"
      :placeholder="words.name"
    />
    <FactRow :label="texts.edge.shape"
      ><ChoiceRow v-model="draft.shape" :label="texts.edge.shape" :choices="texts.artwork.shapes"
    /></FactRow>
    <LengthRow
      v-if="draft.shape === 'rectangle'"
      v-model="draft.radius"
      :label="words.radius"
      :min="0"
      :max="200"
    />
    <h3>{{ words.across }}</h3>
    <LengthRow v-model="draft.across.sheet" :label="words.sheetWidth" :min="10" :max="2000" />
    <NumberRow v-model="draft.across.count" :label="words.columns" :min="1" :max="100" />
    <ReadingRow
      v-model="draft.across.size"
      :label="sheet.round.value ? words.diameter : words.labelWidth"
      :derived="across?.size"
    />
    <ReadingRow v-model="draft.across.pitch" :label="words.pitchX" :derived="across?.pitch" />
    <ReadingRow
      v-model="draft.across.gap"
      :label="words.gapX"
      :derived="across && across.pitch - across.size"
    />
    <ReadingRow v-model="draft.across.first" :label="words.left" :derived="across?.first" />
    <ReadingRow v-model="draft.across.last" :label="words.right" :derived="across?.last" />
    <h3>{{ words.down }}</h3>
    <LengthRow v-model="draft.down.sheet" :label="words.sheetHeight" :min="10" :max="2000" />
    <NumberRow v-model="draft.down.count" :label="words.rows" :min="1" :max="200" />
    <ReadingRow
      v-if="!sheet.round.value"
      v-model="draft.down.size"
      :label="words.labelHeight"
      :derived="down?.size"
    />
    <ReadingRow v-model="draft.down.pitch" :label="words.pitchY" :derived="down?.pitch" />
    <ReadingRow
      v-model="draft.down.gap"
      :label="words.gapY"
      :derived="down && down.pitch - down.size"
    />
    <ReadingRow v-model="draft.down.first" :label="words.top" :derived="down?.first" />
    <ReadingRow v-model="draft.down.last" :label="words.bottom" :derived="down?.last" />
  </CardPanel>
</template>

<style scoped>
.name {
  box-sizing: border-box;
  width: 100%;
  margin-bottom: 8px;
}
h3 {
  margin: 12px 0 2px;
  font-size: 13.5px;
}
</style>
