<script setup lang="ts" generic="T extends string">
/** A few choices side by side, of which one holds. */
defineProps<{ modelValue: T; label: string; choices: readonly { value: T; name: string }[] }>();
defineEmits<{ 'update:modelValue': [value: T] }>();
</script>

<template>
  <div class="choices" role="radiogroup" :aria-label="label">
    <button
      v-for="choice in choices"
      :key="choice.value"
      type="button"
      role="radio"
      :aria-checked="choice.value === modelValue"
      @click="$emit('update:modelValue', choice.value)"
    >
      {{ choice.name }}
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
  padding: 0 8px;
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
