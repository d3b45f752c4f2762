<script setup lang="ts">
import { texts } from '../../texts/index.ts';
import LinkButton from '../../ui/LinkButton.vue';
import type { useMadePdf } from './made-pdf.ts';

/** How far the print file is, and a way to stop. */
defineProps<{ made: ReturnType<typeof useMadePdf> }>();
</script>

<template>
  <div class="doing bench-tray" role="status">
    <span>{{ made.doing.value }} …</span>
    <v-progress-linear
      :aria-label="texts.proof.progress"
      :model-value="made.share.value * 100"
      color="primary"
      rounded
    />
    <LinkButton @click="made.cancel">{{ texts.proof.cancel }}</LinkButton>
  </div>
</template>

<style scoped>
.doing {
  position: absolute;
  top: 18px;
  left: 50%;
  display: grid;
  grid-template-columns: 1fr auto;
  gap: 2px 14px;
  align-items: center;
  width: 300px;
  padding: 8px 20px;
  transform: translateX(-50%);
}
.doing > :nth-child(2) {
  grid-row: 2;
}
.doing > :nth-child(3) {
  grid-row: 1 / 3;
  grid-column: 2;
}
</style>
