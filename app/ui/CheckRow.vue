<script setup lang="ts">
/** Something that holds or does not. */
defineProps<{ modelValue: boolean; label: string; disabled?: boolean }>();
defineEmits<{ 'update:modelValue': [value: boolean] }>();
</script>

<template>
  <label class="check">
    <input
      type="checkbox"
      :checked="modelValue"
      :disabled="disabled"
      @change="$emit('update:modelValue', !modelValue)"
    />
    <span>{{ label }}</span>
  </label>
</template>

<style scoped>
.check {
  display: flex;
  align-items: center;
  gap: 8px;
  min-height: var(--row);
}
input {
  accent-color: var(--plum);
}
</style>
