<script setup lang="ts">
/** A part of the Stock room with nothing in it yet: what it is for, and what to do. */
defineProps<{ says: string; action: string }>();
defineEmits<{ act: [] }>();
</script>

<template>
  <div class="empty">
    <p>{{ says }}</p>
    <v-btn color="primary" @click="$emit('act')">{{ action }}</v-btn>
    <slot />
  </div>
</template>

<style scoped>
.empty {
  max-width: 440px;
  margin: 80px auto;
  border-radius: var(--r-job);
  padding: 26px;
  background: var(--card);
  text-align: center;
  box-shadow: var(--shadow);
}
.empty > :deep(.link) {
  display: block;
  margin: 10px auto 0;
}
</style>
