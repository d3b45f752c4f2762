<script setup lang="ts">
import { texts } from '../../texts/index.ts';
import LinkButton from '../../ui/LinkButton.vue';

/** How far files are made, and a way to stop. */
defineProps<{ share: number }>();
defineEmits<{ cancel: [] }>();
</script>

<template>
  <div class="busy">
    <v-progress-linear
      :aria-label="texts.proof.progress"
      :model-value="share * 100"
      color="primary"
      rounded
    />
    <LinkButton @click="$emit('cancel')">{{ texts.proof.cancel }}</LinkButton>
  </div>
</template>

<style scoped>
.busy {
  display: flex;
  flex: 1;
  gap: 12px;
  align-items: center;
}
</style>
