<script setup lang="ts">
import type { Stock } from '../../core/stock/index.ts';
import StockPicture from './StockPicture.vue';

/** A sheet to choose: how it looks, what it is called, and what speaks for it. */
defineProps<{
  stock: Stock;
  note: string;
  fact: string;
  chosen: boolean;
  used?: readonly number[];
  color?: string;
  faded?: boolean;
}>();
defineEmits<{ choose: [] }>();
</script>

<template>
  <button
    type="button"
    role="radio"
    :aria-checked="chosen"
    class="offer"
    :class="{ faded }"
    @click="$emit('choose')"
  >
    <span class="picture"><StockPicture :stock="stock" :used="used ?? []" :color="color" /></span>
    <strong>{{ stock.name }}</strong>
    <span class="quiet">{{ note }}</span>
    <span v-if="fact" class="display fact">{{ fact }}</span>
  </button>
</template>

<style scoped>
.offer {
  display: flex;
  flex-direction: column;
  align-items: center;
  gap: 5px;
  border: 2px solid transparent;
  border-radius: var(--r-job);
  padding: 14px 12px;
  background: var(--card);
  color: var(--ink);
  font: inherit;
  cursor: pointer;
  box-shadow: var(--shadow);
}
.offer[aria-checked='true'] {
  border-color: var(--apricot);
}
.offer:hover {
  border-color: var(--apricot-soft);
}
.picture {
  display: grid;
  place-items: center;
  height: 118px;
}
strong {
  display: flex;
  flex: 1;
  align-items: center;
  margin-top: 6px;
  line-height: 1.3;
}
.faded {
  opacity: 0.6;
}
.fact {
  color: var(--plum);
  font-size: 17px;
}
</style>
