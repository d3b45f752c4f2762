<script setup lang="ts">
import type { Pack } from '../../core/stock/index.ts';
import { texts } from '../texts/index.ts';
import NumberRow from '../ui/NumberRow.vue';
import { useSettings } from '../ui/settings-store.ts';

/** How a pack is sold, when that is known. */
const props = defineProps<{ pack: Pack | null }>();
const emit = defineEmits<{ change: [pack: Pack | null] }>();
const words = texts.stock.material;
const settings = useSettings();

function change(changes: Partial<Pack>): void {
  if (props.pack) emit('change', { ...props.pack, ...changes });
}
</script>

<template>
  <template v-if="pack">
    <NumberRow
      :label="words.packSheets"
      :model-value="pack.sheets"
      :min="1"
      :max="10000"
      @update:model-value="change({ sheets: Math.round($event) })"
    />
    <NumberRow
      :label="`${words.priceOf}, ${settings.currency}`"
      :model-value="pack.price"
      :digits="2"
      :min="0"
      :max="100000"
      @update:model-value="change({ price: $event })"
    />
    <button class="link" type="button" @click="emit('change', null)">{{ words.noPrice }}</button>
  </template>
  <button v-else class="link" type="button" @click="emit('change', { sheets: 25, price: 0 })">
    {{ words.addPrice }}
  </button>
</template>
