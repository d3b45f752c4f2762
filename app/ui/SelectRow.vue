<script setup lang="ts" generic="T extends string">
import FactRow from './FactRow.vue';

/** A named choice of many in a card; `choices` gives the name of each value, `name` says more than `label`. */
defineProps<{
  modelValue: T;
  label: string;
  name?: string;
  choices: Readonly<Record<T, string>>;
}>();
defineEmits<{ 'update:modelValue': [value: T] }>();
</script>

<template>
  <FactRow as="label" :label="label">
    <select
      class="well"
      :aria-label="name ?? label"
      :value="modelValue"
      @change="$emit('update:modelValue', ($event.target as HTMLSelectElement).value as T)"
    >
      <option v-for="(said, value) in choices" :key="value" :value="value">{{ said }}</option>
    </select>
  </FactRow>
</template>
