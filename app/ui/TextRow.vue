<script setup lang="ts">
import FactRow from './FactRow.vue';

/** A named line of text in a card, taken when it is left; an empty one is not where it is `needed`. */
const props = defineProps<{ modelValue: string; label: string; needed?: boolean; most?: number }>();
const emit = defineEmits<{ 'update:modelValue': [value: string] }>();

function take(event: Event): void {
  const field = event.target as HTMLInputElement;
  const value = props.needed ? field.value.trim() : field.value;
  if (value || !props.needed) emit('update:modelValue', value);
  else field.value = props.modelValue;
}
</script>

<template>
  <FactRow as="label" :label="label"
    ><input class="well" :value="modelValue" :maxlength="most" @change="take"
  /></FactRow>
</template>

<style scoped>
input {
  flex: 0 1 150px;
  min-width: 0;
}
</style>
