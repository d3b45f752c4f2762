<script setup lang="ts">
/** A field's name at the left and its value at the right. */
defineProps<{ label: string }>();
</script>

<template>
  <label class="row">
    <span>{{ label }}</span>
    <slot />
  </label>
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
