<script setup lang="ts">
import FactRow from './FactRow.vue';
import NumberField from './NumberField.vue';

/** A named number in a card; `name` says more than `label` has room for. Takes what NumberField takes. */
defineOptions({ inheritAttrs: false });
defineProps<{ modelValue: number; label: string; name?: string }>();
defineEmits<{ 'update:modelValue': [value: number] }>();
</script>

<template>
  <FactRow as="label" :label="label"
    ><NumberField
      v-bind="$attrs"
      :label="name ?? label"
      :model-value="modelValue"
      @update:model-value="$emit('update:modelValue', $event)"
  /></FactRow>
</template>
