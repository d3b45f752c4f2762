<script setup lang="ts">
import type { Job } from '../../../core/job/index.ts';

/** Jobs of the shelf by their names, one of them to be chosen. */
defineProps<{ jobs: readonly Job[]; chosen?: string | undefined }>();
defineEmits<{ choose: [job: Job] }>();
</script>

<template>
  <div class="jobs">
    <button
      v-for="job in jobs"
      :key="job.id"
      type="button"
      :aria-pressed="job.id === chosen"
      @click="$emit('choose', job)"
    >
      {{ job.name }}
    </button>
  </div>
</template>

<style scoped>
.jobs {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
}
button {
  border: 1px solid var(--line);
  border-radius: var(--r-job);
  padding: 5px 12px;
  background: var(--card);
  color: var(--ink);
  font: inherit;
  cursor: pointer;
}
button:hover,
button[aria-pressed='true'] {
  border-color: var(--apricot);
  background: var(--apricot-soft);
}
</style>
