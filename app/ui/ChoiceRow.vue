<script setup lang="ts" generic="T extends string">
import { computed } from 'vue';

/** A few choices side by side, of which one holds; `choices` gives the name of each value. */
const props = defineProps<{
  modelValue: T;
  label: string;
  choices: Readonly<Partial<Record<T, string>>>;
}>();
defineEmits<{ 'update:modelValue': [value: T] }>();
const values = computed(() => Object.keys(props.choices) as T[]);
</script>

<template>
  <div class="choices" role="radiogroup" :aria-label="label">
    <button
      v-for="value in values"
      :key="value"
      type="button"
      role="radio"
      :aria-checked="value === modelValue"
      @click="$emit('update:modelValue', value)"
    >
      {{ choices[value] }}
    </button>
  </div>
</template>

<style scoped>
.choices {
  display: inline-flex;
  flex-wrap: wrap;
  gap: 2px;
  border: 1px solid var(--field-line);
  border-radius: var(--r-field);
  padding: 1px;
  background: var(--well);
}
button {
  min-height: calc(var(--row) - 10px);
  border: 0;
  border-radius: 6px;
  padding: 0 6px;
  background: none;
  color: var(--ink);
  font: inherit;
  cursor: pointer;
}
button[aria-checked='true'] {
  background: var(--apricot-soft);
  font-weight: 600;
}
button:hover {
  background: var(--apricot-soft);
}
</style>
