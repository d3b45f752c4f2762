<script setup lang="ts">
import { texts } from '../texts/index.ts';

/** Where a size or a number is typed to find a sheet; Enter takes the first, Escape empties it. */
defineProps<{ modelValue: string }>();
defineEmits<{ 'update:modelValue': [text: string]; first: [] }>();
</script>

<template>
  <input
    class="well"
    type="search"
    :value="modelValue"
    :aria-label="texts.stock.find"
    :placeholder="texts.stock.findHint"
    @input="$emit('update:modelValue', ($event.target as HTMLInputElement).value)"
    @keydown.enter="$emit('first')"
    @keydown.esc="$emit('update:modelValue', '')"
  />
</template>

<style scoped>
input {
  flex: 0 1 420px;
  min-width: 0;
  border-radius: var(--r-tray);
  padding: 9px 18px;
  background: var(--card);
  font-size: 14px;
  box-shadow: var(--shadow);
}
</style>
