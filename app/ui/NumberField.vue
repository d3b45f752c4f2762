<script setup lang="ts">
import { ref, watch } from 'vue';

/** A number to read and type, with a unit behind it. Enter or leaving takes it over. */
const props = defineProps<{
  modelValue: number;
  label: string;
  suffix?: string;
  digits?: number;
  min?: number;
  max?: number;
  step?: number;
}>();
const emit = defineEmits<{ 'update:modelValue': [value: number] }>();
const write = (value: number): string => String(Number(value.toFixed(props.digits ?? 0)));
const text = ref(write(props.modelValue));
watch(
  () => props.modelValue,
  (value) => (text.value = write(value)),
);

function give(value: number): void {
  const limited = Math.min(props.max ?? Infinity, Math.max(props.min ?? -Infinity, value));
  const rounded = Number(limited.toFixed(props.digits ?? 0));
  if (rounded !== props.modelValue) emit('update:modelValue', rounded);
  text.value = write(rounded);
}

function take(): void {
  const value = Number(text.value.replace(',', '.').replace(/[^\d.-]/g, ''));
  if (text.value.trim() === '' || !Number.isFinite(value)) text.value = write(props.modelValue);
  else if (text.value !== write(props.modelValue)) give(value);
}
</script>

<template>
  <span class="number well">
    <input
      v-model="text"
      :aria-label="label"
      inputmode="decimal"
      :size="Math.max(3, text.length)"
      @blur="take"
      @keydown.enter="take"
      @keydown.esc="text = write(modelValue)"
      @keydown.up.prevent="give(modelValue + (step ?? 1))"
      @keydown.down.prevent="give(modelValue - (step ?? 1))"
      @focus="($event.target as HTMLInputElement).select()"
    />
    <span v-if="suffix" class="quiet">{{ suffix }}</span>
  </span>
</template>

<style scoped>
.number {
  display: inline-flex;
  align-items: center;
  gap: 4px;
}
.number:focus-within {
  outline: 2px solid var(--plum);
  outline-offset: 1px;
}
input {
  min-width: 0;
  border: 0;
  background: none;
  color: inherit;
  font: inherit;
  text-align: right;
  outline: none;
}
</style>
