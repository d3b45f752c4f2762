<script setup lang="ts" generic="T extends object">
import type { Component } from 'vue';
import CheckRow from './CheckRow.vue';
import ChoicesRow from './ChoicesRow.vue';
import ColorRow from './ColorRow.vue';
import type { Field, FieldRow } from './fields.ts';
import LengthRow from './LengthRow.vue';
import NumberRow from './NumberRow.vue';
import SelectRow from './SelectRow.vue';
import TextRow from './TextRow.vue';

/** The rows of a thing's values. What is typed comes with the key that joins its changes to one step. */
defineProps<{ fields: readonly Field<T>[]; of: T }>();
const emit = defineEmits<{ change: [changes: Partial<T>, key?: string] }>();
const ROWS: Readonly<Record<FieldRow, Component>> = {
  check: CheckRow,
  choices: ChoicesRow,
  color: ColorRow,
  length: LengthRow,
  number: NumberRow,
  select: SelectRow,
  text: TextRow,
};

function change(field: Field<T>, value: unknown): void {
  if (field.isTyped) emit('change', field.change(value), field.key);
  else emit('change', field.change(value));
}
</script>

<template>
  <template v-for="field in fields" :key="field.key">
    <component
      :is="ROWS[field.row]"
      v-if="field.isShown(of)"
      v-bind="field.given(of)"
      :model-value="field.read(of)"
      @update:model-value="change(field, $event)"
    />
  </template>
</template>
