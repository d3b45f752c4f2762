<script setup lang="ts">
/** What is being done, and how far it is; a way to stop goes into the slot. */
defineProps<{ doing: string; share: number; label: string }>();
</script>

<template>
  <div class="doing" role="status">
    <span>{{ `${doing} …` }}</span>
    <v-progress-linear
      :aria-label="label"
      :model-value="share * 100"
      color="primary"
      height="6"
      rounded
    />
    <slot />
  </div>
</template>

<style scoped>
.doing {
  display: grid;
  grid-template-columns: 1fr auto;
  gap: 6px 14px;
  align-items: center;
  align-self: stretch;
}
span {
  grid-column: 1 / -1;
}
</style>
