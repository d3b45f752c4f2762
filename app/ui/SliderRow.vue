<script setup lang="ts">
/** A named value that is found by looking: dragged while the picture follows. */
defineProps<{
  modelValue: number;
  label: string;
  min: number;
  max: number;
  step: number;
  said: string;
}>();
defineEmits<{ 'update:modelValue': [value: number] }>();
</script>

<template>
  <label class="slider">
    <span>{{ label }}</span>
    <span class="said">{{ said }}</span>
    <input
      type="range"
      :aria-label="label"
      :value="modelValue"
      :min="min"
      :max="max"
      :step="step"
      @input="$emit('update:modelValue', Number(($event.target as HTMLInputElement).value))"
    />
  </label>
</template>

<style scoped>
.slider {
  display: grid;
  grid-template-columns: 1fr auto;
  gap: 0 10px;
  align-items: center;
  min-height: var(--row);
}
.said {
  color: var(--ink-2);
}
input {
  grid-column: 1 / -1;
  width: 100%;
  accent-color: var(--plum);
}
</style>
