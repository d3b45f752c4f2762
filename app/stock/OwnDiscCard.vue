<script setup lang="ts">
import { computed, reactive } from 'vue';
import { fileStem } from '../../core/output/index.ts';
import { discCarrier, type Stock } from '../../core/stock/index.ts';
import { formatLength } from '../../core/units/index.ts';
import { texts } from '../texts/index.ts';
import CardPanel from '../ui/CardPanel.vue';
import LengthRow from '../ui/LengthRow.vue';
import NumberRow from '../ui/NumberRow.vue';
import { useSettings } from '../ui/settings-store.ts';
import LinkButton from '../ui/LinkButton.vue';

/** A carrier for discs of one's own diameters. */
const emit = defineEmits<{ keep: [stock: Stock] }>();
const words = texts.stock.disc;
const settings = useSettings();
const disc = reactive({ outer: 76, inner: 15, count: 1 });
const made = computed((): Stock => {
  const name = words.name(formatLength(disc.outer, settings.unit), disc.count);
  return { ...discCarrier(disc, disc.count), id: `own-${fileStem(name)}`, name };
});
</script>

<template>
  <CardPanel :title="words.title">
    <p class="hint">{{ words.hint }}</p>
    <LengthRow v-model="disc.outer" :label="words.outer" :min="20" :max="400" />
    <LengthRow v-model="disc.inner" :label="words.inner" :min="0.1" :max="disc.outer - 10" />
    <NumberRow v-model="disc.count" :label="words.count" :min="1" :max="4" />
    <LinkButton @click="emit('keep', made)">{{ words.keep }}</LinkButton>
  </CardPanel>
</template>

<style scoped>
.hint {
  margin: 0 0 6px;
  color: var(--ink-2);
}
</style>
