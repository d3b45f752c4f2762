<script setup lang="ts">
import FactRow from './FactRow.vue';

/** A named colour in a card. */
defineProps<{ modelValue: string; label: string }>();
/** `preview` comes with each colour that is passed over while one is chosen. */
const emit = defineEmits<{ 'update:modelValue': [value: string]; preview: [value: string] }>();
const valueOf = (event: Event): string => (event.target as HTMLInputElement).value;
</script>

<template>
  <FactRow as="label" :label="label"
    ><input
      type="color"
      :value="modelValue"
      @input="emit('preview', valueOf($event))"
      @change="emit('update:modelValue', valueOf($event))"
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
