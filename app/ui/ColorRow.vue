<script setup lang="ts">
import FactRow from './FactRow.vue';

/** A named colour in a card. */
defineProps<{ modelValue: string; label: string }>();
const emit = defineEmits<{ 'update:modelValue': [value: string] }>();
</script>

<template>
  <FactRow as="label" :label="label"
    ><input
      type="color"
      :value="modelValue"
      @change="emit('update:modelValue', ($event.target as HTMLInputElement).value)"
  /></FactRow>
</template>

<style scoped>
input {
  width: 44px;
  height: 28px;
  border: 1px solid var(--field-line);
  border-radius: var(--r-field);
  padding: 2px;
  background: var(--well);
  cursor: pointer;
}
</style>
