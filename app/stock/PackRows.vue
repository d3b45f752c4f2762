<script setup lang="ts">
import { computed } from 'vue';
import { packSchema, type Pack } from '../../core/stock/index.ts';
import { texts } from '../texts/index.ts';
import FieldRows from '../ui/FieldRows.vue';
import { fieldsOf } from '../ui/fields.ts';
import { useSettings } from '../ui/settings-store.ts';
import LinkButton from '../ui/LinkButton.vue';

/** How a pack is sold, when that is known. */
defineProps<{ pack: Pack | null }>();
const emit = defineEmits<{ change: [pack: Pack | null] }>();
const words = texts.stock.material;
const settings = useSettings();
const { number } = fieldsOf(packSchema);
const fields = computed(() => [
  number('sheets', words.packSheets),
  number('price', `${words.priceOf}, ${settings.currency}`, { digits: 2 }),
]);
</script>

<template>
  <template v-if="pack">
    <FieldRows :fields="fields" :of="pack" @change="emit('change', { ...pack, ...$event })" />
    <LinkButton @click="emit('change', null)">{{ words.noPrice }}</LinkButton>
  </template>
  <LinkButton v-else @click="emit('change', { sheets: 25, price: 0 })">
    {{ words.addPrice }}
  </LinkButton>
</template>
