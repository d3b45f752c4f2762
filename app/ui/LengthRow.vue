<script setup lang="ts">
import FactRow from './FactRow.vue';
import LengthField from './LengthField.vue';

/** A named length in a card; `name` says more than `label` has room for. Takes what LengthField takes. */
defineOptions({ inheritAttrs: false });
defineProps<{ modelValue: number; label: string; name?: string }>();
defineEmits<{ 'update:modelValue': [value: number] }>();
</script>

<template>
  <FactRow as="label" :label="label"
    ><LengthField
      v-bind="$attrs"
      :label="name ?? label"
      :model-value="modelValue"
      @update:model-value="$emit('update:modelValue', $event)"
  /></FactRow>
</template>
