<script setup lang="ts" generic="T extends string">
import ChoiceRow from './ChoiceRow.vue';
import FactRow from './FactRow.vue';

/** A named choice of few in a card; `name` says more than `label` has room for. */
defineProps<{
  modelValue: T;
  label: string;
  name?: string;
  choices: Readonly<Record<T, string>>;
}>();
defineEmits<{ 'update:modelValue': [value: T] }>();
</script>

<template>
  <FactRow :label="label"
    ><ChoiceRow
      :model-value="modelValue"
      :label="name ?? label"
      :choices="choices"
      @update:model-value="$emit('update:modelValue', $event)"
  /></FactRow>
</template>
