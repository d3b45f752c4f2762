<script setup lang="ts">
/**
 * A name at the left and its value at the right. A name before a field is the field's `label`; before
 * buttons it may not be, or a click on it would press the first of them.
 */
const { as = 'div' } = defineProps<{ label: string; as?: 'div' | 'label' }>();
</script>

<template>
  <component :is="as" class="row">
    <span>{{ label }}</span>
    <slot />
  </component>
</template>

<style scoped>
.row {
  display: flex;
  align-items: center;
  justify-content: space-between;
  gap: 10px;
  min-height: calc(var(--row) + 2px);
  flex-wrap: wrap;
}
.row > span:first-child {
  flex: 1 1 auto;
}
</style>
